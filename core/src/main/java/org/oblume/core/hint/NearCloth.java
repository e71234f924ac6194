package org.oblume.core.hint;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/** A lamp nearer to cloth or gel than its kind may be (estimate, from the kit). */
final class NearCloth implements HintRule {

    private static final Set<PlacementKind> CLOTHS =
            EnumSet.of(PlacementKind.FRAME, PlacementKind.CURTAIN, PlacementKind.BOUNCE);

    @Override
    public void look(HintContext shot) {
        shot.lights().filter(p -> shot.state().isOn(p.key())).forEach(placement -> {
            Lamp lamp = placement.piece().lamp();
            if (lamp != null) {
                double safe = lamp.upkeep().safeDistanceM();
                cloths(shot, placement).stream()
                        .min(Comparator.comparingDouble(Cloth::distanceM))
                        .filter(nearest -> nearest.distanceM < safe)
                        .ifPresent(nearest -> report(shot, placement, nearest, safe));
            }
        });
    }

    private record Cloth(String name, double distanceM) {}

    /** What stands in frames before a light, and cloths of their own. */
    private static List<Cloth> cloths(HintContext shot, Placement light) {
        SpacePoint at = shot.position(light);
        List<Cloth> cloths = new ArrayList<>();
        shot.state()
                .value(light.key(), Modifiers.class)
                .orElse(Modifiers.NONE)
                .items()
                .forEach(item -> {
                    Double before = item.frameDistanceM();
                    if (before != null) {
                        cloths.add(new Cloth(item.name(), before));
                    }
                });
        shot.standing().filter(p -> CLOTHS.contains(p.kind())).forEach(p -> shot.state()
                .panel(p)
                .ifPresent(panel -> cloths.add(new Cloth(p.name(), panel.distanceM(at)))));
        return cloths;
    }

    private static void report(HintContext shot, Placement light, Cloth nearest, double safeM) {
        shot.report(
                HintKind.NEAR_CLOTH,
                light,
                true,
                Phrase.format(
                        "%s is %s from %s",
                        Phrase.of(light.name()),
                        Length.ofMetres(nearest.distanceM).small(),
                        Phrase.of(nearest.name)),
                Phrase.format(
                        "Keep cloth and gel %s away from this kind of lamp, with air behind it (estimate).",
                        Phrase.of(Length.ofMetres(safeM))),
                shot.position(light));
    }
}
