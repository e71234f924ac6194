package org.oblume.core.hint;

import java.util.Comparator;
import java.util.List;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetPlan;

/** Everything that is worth a look in a shot. A new hint is a new {@link HintRule} in the list here. */
public final class Hints {

    private static final List<HintRule> RULES = List.of(
            new InFrame(),
            new FacesAway(),
            new FrameBeyondMark(),
            new ThroughOpening(),
            new Restricted(),
            new UnderAUnit(),
            new NoHeadroom(),
            new BurnPosition(),
            new NearCloth(),
            new Flare(),
            new GlassesReflection(),
            new CrossedNoseShadows(),
            new FromBelow(),
            new SunUnknown(),
            new WindowInFrame(),
            new KickerOnNose(),
            new MixedColour());

    private Hints() {}

    /**
     * What the rules find in a shot.
     *
     * @param set where it is
     * @param placements of the scene, in its own order
     * @param light of the shot, all lights on
     * @return urgent ones first, then in the scene's order, then in the order of the rules
     */
    public static List<Hint> of(SetPlan set, List<Placement> placements, ShotLighting light) {
        HintContext shot = new HintContext(set, placements, light);
        RULES.forEach(rule -> rule.look(shot));
        Comparator<Hint> inTheScene = Comparator.comparingInt(h -> shot.orderOf(h.placement()));
        return shot.found().stream()
                .sorted(Comparator.comparing((Hint h) -> !h.urgent()).thenComparing(inTheScene))
                .toList();
    }
}
