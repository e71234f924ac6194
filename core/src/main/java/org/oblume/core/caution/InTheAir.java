package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Condition;
import org.oblume.core.plot.Placement;

/** Haze and smoke are breathed, and set off alarms. */
final class InTheAir implements CautionRule {

    private static final String AIR = "Haze and smoke: air the set, ask who minds it, masks where it is thick.";

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        return state.value(placement.key(), Condition.class)
                .filter(c -> c.sort().isInTheAir())
                .map(c -> new Caution(
                        Caution.Kind.AIR,
                        c.who() == null
                                ? AIR + " Nobody is recorded as told about the alarms: tell the place before it starts."
                                : "%s Alarms: %s knows.".formatted(AIR, c.who())));
    }
}
