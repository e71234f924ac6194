package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Placement;

/** A stand goes over unless it is bagged. */
final class StandOnTheFloor implements CautionRule {

    private static final Caution CAUTION =
            new Caution(Caution.Kind.STAND, "Bag the high leg. Tallest leg under the load.");

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        return placement.piece().mount() == Mount.STAND ? Optional.of(CAUTION) : Optional.empty();
    }
}
