package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;

/** Outside, water finds cable joints and wind finds stands. */
final class OutsideTheWalls implements CautionRule {

    private static final Caution CAUTION = new Caution(
            Caution.Kind.OUTSIDE,
            "Outside: keep cable joints dry and off the ground; wind takes stands. A qualified electrician decides what is fed here.");

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        return state.value(placement.key(), Place.class).filter(Place::outside).map(place -> CAUTION);
    }
}
