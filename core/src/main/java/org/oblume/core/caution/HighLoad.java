package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Placement;

/** A light that takes so much of a circuit that what else hangs on it matters (model: by its watts alone, not by what the circuit carries). */
final class HighLoad implements CautionRule {

    /** A third of what a circuit of 13 A at 230 V may carry for hours, watts (model). */
    private static final double FROM_W = 1000;

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        double watts = placement.piece().watts();
        return watts < FROM_W
                ? Optional.empty()
                : Optional.of(new Caution(
                        Caution.Kind.LOAD,
                        "%d W, an estimate: mind what else hangs on its circuit or generator. No tying in: a qualified electrician and the local code decide."
                                .formatted(Math.round(watts))));
    }
}
