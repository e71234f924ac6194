package org.oblume.core.hint;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Restriction;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Phrase;

/** Something that the place does not allow where it stands: a stand, haze, weight, noise, or what its own words say. */
final class Restricted implements HintRule {

    @Override
    public void look(HintContext shot) {
        for (Restriction restriction : shot.set().restrictions()) {
            switch (restriction.kind()) {
                case NO_STANDS ->
                    inside(shot, restriction, shot.rigged().filter(Restricted::standsOnTheFloor))
                            .forEach(p -> report(
                                    shot, p, true, "%s stands where no stand may".formatted(p.name()), restriction));
                case LOAD_LIMIT ->
                    inside(shot, restriction, shot.rigged().filter(Restricted::standsOnTheFloor))
                            .forEach(p -> report(
                                    shot,
                                    p,
                                    false,
                                    "%s weighs on a floor with a limit".formatted(p.name()),
                                    restriction,
                                    "%s A licensed person decides whether it carries this.".formatted(weight(p))));
                case QUIET ->
                    inside(shot, restriction, shot.lights().filter(p -> shot.state()
                                    .isOn(p.key())))
                            .filter(Restricted::isHeard)
                            .forEach(p -> report(
                                    shot,
                                    p,
                                    false,
                                    "%s is heard where it has to be quiet".formatted(p.name()),
                                    restriction));
                case NO_HAZE ->
                    inside(shot, restriction, shot.standing())
                            .filter(p -> p.kind() == PlacementKind.CAMERA)
                            .limit(1)
                            .forEach(p -> report(shot, p, false, "No haze or smoke here", restriction));
                case OTHER ->
                    inside(shot, restriction, shot.rigged())
                            .forEach(p -> report(
                                    shot,
                                    p,
                                    false,
                                    "%s is where the place has a rule".formatted(p.name()),
                                    restriction));
            }
        }
    }

    /** What stands where it holds; one thing is enough to say so of a rule of the whole place that forbids no stand. */
    private static Stream<Placement> inside(HintContext shot, Restriction restriction, Stream<Placement> all) {
        Stream<Placement> there =
                all.filter(p -> covers(restriction.outline(), shot.position(p).onPlan()));
        boolean once = restriction.outline().isEmpty()
                && (restriction.kind() == Restriction.Kind.LOAD_LIMIT || restriction.kind() == Restriction.Kind.OTHER);
        return once ? there.limit(1) : there;
    }

    private static void report(
            HintContext shot,
            Placement placement,
            boolean urgent,
            String title,
            Restriction restriction,
            String... more) {
        shot.report(
                HintKind.RESTRICTED,
                placement,
                urgent,
                Phrase.of(title),
                Phrase.of(String.join(" ", "The place says: %s.".formatted(restriction.note()), String.join(" ", more))
                        .strip()),
                shot.position(placement));
    }

    private static String weight(Placement placement) {
        Lamp lamp = placement.piece().lamp();
        return lamp == null || lamp.upkeep().weightKg() == 0
                ? "What it weighs is not known."
                : "%s kg without its stand (estimate)."
                        .formatted(Numbers.plain(lamp.upkeep().weightKg()));
    }

    private static boolean isHeard(Placement placement) {
        Lamp lamp = placement.piece().lamp();
        return lamp != null
                && !lamp.upkeep().noise().isBlank()
                && !lamp.upkeep().noise().equals("silent");
    }

    private static boolean standsOnTheFloor(Placement placement) {
        return placement.piece().mount() == Mount.STAND || placement.piece().mount() == Mount.FLOOR;
    }

    /** @param outline without one, it is of the whole place */
    private static boolean covers(List<PlanPoint> outline, PlanPoint at) {
        if (outline.isEmpty()) {
            return true;
        }
        List<PlanPoint> closed = new ArrayList<>(outline);
        closed.add(outline.get(0));
        return new Walls(List.of(closed), List.of()).encloses(at);
    }
}
