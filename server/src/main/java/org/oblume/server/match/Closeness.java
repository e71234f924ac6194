package org.oblume.server.match;

import org.oblume.core.continuity.Tolerances;

/** The two ways in which good crews go in closer. */
public enum Closeness {
    HOLD(Tolerances.HOLD), SWEETEN(Tolerances.SWEETEN);

    private final Tolerances usual;

    Closeness(Tolerances usual) {
        this.usual = usual;
    }

    Tolerances usual() {
        return usual;
    }
}
