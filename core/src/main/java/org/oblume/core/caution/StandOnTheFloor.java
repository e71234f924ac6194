package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;

/** A stand goes over unless it is bagged; a camera stands on its own legs and has its own crew. */
final class StandOnTheFloor implements CautionRule {

    private static final Caution CAUTION =
            new Caution(Caution.Kind.STAND, "Bag the high leg. Tallest leg under the load.");

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        boolean onStand =
                placement.kind() != PlacementKind.CAMERA && placement.piece().mount() == Mount.STAND;
        return onStand ? Optional.of(CAUTION) : Optional.empty();
    }
}
