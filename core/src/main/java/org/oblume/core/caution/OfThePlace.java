package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Condition;
import org.oblume.core.plot.Placement;

/** Vehicles, roads and aircraft have people who answer for them. */
final class OfThePlace implements CautionRule {

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        return state.value(placement.key(), Condition.class)
                .filter(c -> c.sort().isOfThePlace())
                .map(c -> new Caution(
                        Caution.Kind.PLACE,
                        "Vehicles, roads, aircraft: the place’s own safety officer decides%s. No light into a driver’s or a pilot’s eyes."
                                .formatted(
                                        c.who() == null ? ", and is not recorded yet" : " (%s)".formatted(c.who()))));
    }
}
