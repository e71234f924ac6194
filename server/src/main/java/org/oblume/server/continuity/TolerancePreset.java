package org.oblume.server.continuity;

import org.oblume.core.continuity.Tolerances;

/** The two ways in which good crews go in closer. */
public enum TolerancePreset {
    HOLD(Tolerances.HOLD),
    SWEETEN(Tolerances.SWEETEN);

    private final Tolerances usual;

    TolerancePreset(Tolerances usual) {
        this.usual = usual;
    }

    Tolerances usual() {
        return usual;
    }
}
