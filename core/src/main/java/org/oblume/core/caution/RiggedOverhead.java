package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Placement;

/** What hangs overhead needs rated points and somebody who is qualified. */
final class RiggedOverhead implements CautionRule {

    private static final Caution CAUTION = new Caution(
            Caution.Kind.OVERHEAD, "Overhead: rated points, safety bond, a qualified rigger. Clear the floor below.");

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        return placement.piece().mount() == Mount.OVERHEAD ? Optional.of(CAUTION) : Optional.empty();
    }
}
