package org.oblume.core.reach;

import java.util.List;
import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Cue;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Refusal;

/** Values that cannot be. A new limit is a new {@link ReachRule} in the list here. */
public final class Reach {

    private static final List<ReachRule> RULES = List.of(
            new LowestLevel(), new DialledTint(), new DialledHue(), new UnderTheCeiling(), new OutsideTheRoom());

    private Reach() {}

    /**
     * @param scene with what stands in the shot
     * @param state what holds in the shot
     * @throws Refusal at the attribute, with the nearest value that can be
     */
    public static void require(SceneRecord scene, RecordedState state, Placement placement, AttributeValue value) {
        if (value instanceof Cue cue) {
            cue.changes().forEach(step -> step.values()
                    .forEach(v -> require(scene, state, scene.placement(step.placement()), v)));
        }
        Wanted wanted = new Wanted(placement, value, scene.set(), state);
        RULES.stream()
                .map(rule -> rule.refuses(wanted))
                .flatMap(Optional::stream)
                .findFirst()
                .ifPresent(why -> {
                    throw new Refusal(Attribute.of(value).name(), why);
                });
    }
}
