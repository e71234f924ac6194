package org.oblume.core.caution;

import java.util.List;
import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Placement;

/** What to mind of a thing. A new caution is a new {@link CautionRule} in the list here. */
public final class Cautions {

    private static final List<CautionRule> RULES = List.of(
            new StandOnTheFloor(),
            new RiggedOverhead(),
            new ClothPulledFlat(),
            new OutsideTheWalls(),
            new HotLamp(),
            new HotFront(),
            new DischargeLamp(),
            new BurnLimits(),
            new HighLoad(),
            new Flashes(),
            new InTheAir(),
            new OfThePlace());

    private Cautions() {}

    /** All that is to be minded where a thing is carried or set, in the order of the rules. */
    public static List<Caution> of(Placement placement, RecordedState state) {
        return RULES.stream()
                .map(rule -> rule.of(placement, state))
                .flatMap(Optional::stream)
                .toList();
    }
}
