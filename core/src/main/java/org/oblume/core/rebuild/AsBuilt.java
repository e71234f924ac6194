package org.oblume.core.rebuild;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Exchanged;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Stops;

/**
 * A shot as it is rebuilt: on the set where that is done, with what stands in for what is missing and what is not as recorded.
 *
 * @param scene the scene with the set and the things of the rebuild
 * @param state what holds there
 * @param substituted keys of things that something else stands in for
 * @param elsewhere whether it is rebuilt in another place than it was recorded in
 */
public record AsBuilt(SceneRecord scene, ShotState state, Set<String> substituted, boolean elsewhere) {

    private static final int HALVINGS = 24;

    /**
     * @param recorded the scene, of which a shot is rebuilt
     * @param shot what was recorded of it
     * @param set where it is rebuilt; the scene's own for the same place
     * @param fit where the recorded plan lies on that set's
     * @param instead what is not as recorded
     */
    public static AsBuilt of(
            SceneRecord recorded, ShotState shot, SetPlan set, PlanFit fit, Collection<Deviation> instead) {
        Set<String> substituted = new LinkedHashSet<>();
        List<Knot> own = new ArrayList<>();
        for (Deviation one : instead) {
            if (one.piece() != null) {
                substituted.add(one.placement());
                own.add(knot(shot, one, new Exchanged(one.piece())));
            }
            one.values().forEach(v -> own.add(knot(shot, one, v)));
        }
        List<Knot> knots = new ArrayList<>();
        for (Placement placement : recorded.placements()) {
            shot.knots(placement.key()).stream()
                    .map(k -> new Knot(k.slate(), k.placement(), fitted(k.value(), fit), k.attribution()))
                    .forEach(knots::add);
        }
        knots.addAll(own);
        ShotState built = ShotState.of(shot.slate(), knots);
        return new AsBuilt(
                SceneRecord.of(set, recorded.placements(), recorded.book()).in(built),
                built,
                Set.copyOf(substituted),
                !set.equals(recorded.set()));
    }

    private static Knot knot(ShotState shot, Deviation deviation, AttributeValue value) {
        return new Knot(
                shot.slate(),
                deviation.placement(),
                value,
                new Attribution(null, deviation.why(), "rebuild", Instant.EPOCH, 0));
    }

    /** Of what was found at the meter, what still says something here: nothing of a unit that another one stands in for. */
    public Map<String, Calibration> calibrations(Map<String, Calibration> recorded) {
        Map<String, Calibration> left = new LinkedHashMap<>(recorded);
        left.keySet().removeAll(substituted);
        return left;
    }

    private static AttributeValue fitted(AttributeValue value, PlanFit fit) {
        if (value instanceof Place place) {
            PlanPoint here = fit.point(place.point());
            return here.equals(place.point()) ? place : new Place(here.xM(), here.yM(), place.outside());
        }
        if (value instanceof AimSetting pointing && pointing.bearingDeg() != null && pointing.tiltDeg() != null) {
            return AimSetting.along(
                    fit.bearing(Bearing.ofDegrees(pointing.bearingDeg())).degrees(), pointing.tiltDeg());
        }
        return value;
    }

    /**
     * Something that does not fit the place.
     *
     * @param placement key of what does not fit
     * @param words what is in the way and what could be done
     */
    public record Misfit(String placement, Phrase words) {}

    /**
     * What does not fit: walls, ceiling, throws, the camera's view, and in another place openings that are missing and furniture in the way;
     * in the scene's order.
     */
    public List<Misfit> misfits() {
        List<Misfit> all = new ArrayList<>();
        OtherPlace there = new OtherPlace(scene, state);
        for (Placement placement : scene.placements()) {
            if (elsewhere && state.isOnSet(placement.key())) {
                there.misfit(placement)
                        .map(words -> new Misfit(placement.key(), words))
                        .ifPresent(all::add);
            }
            if (state.isOnSet(placement.key()) && placement.kind() != PlacementKind.DAYLIGHT) {
                state.value(placement.key(), Place.class)
                        .flatMap(place -> misfit(placement, place))
                        .map(words -> new Misfit(placement.key(), words))
                        .ifPresent(all::add);
                tooHigh(placement)
                        .map(words -> new Misfit(placement.key(), words))
                        .ifPresent(all::add);
            }
        }
        return all;
    }

    private Optional<Phrase> misfit(Placement placement, Place place) {
        Walls walls = scene.set().tapeWalls();
        boolean inside = walls.encloses(place.point());
        Optional<String> mark = state.value(placement.key(), AimSetting.class)
                .map(AimSetting::mark)
                .filter(state::isOnSet);
        Optional<PlanPoint> aimed =
                mark.flatMap(m -> state.value(m, Place.class)).map(Place::point);
        if (!inside && !place.outside()) {
            Phrase out = Phrase.format(
                    placement.name() + " would stand %s outside the walls.",
                    Phrase.of(Length.ofMetres(walls.distanceM(place.point()))));
            return Optional.of(aimed.filter(walls::encloses)
                    .map(to -> Phrase.format("%s %s", out, nearest(placement, place.point(), to, walls)))
                    .orElse(out));
        }
        if (inside && place.outside() && !scene.set().walls().isEmpty()) {
            return Optional.of(Phrase.of(
                    "%s is recorded outside and would stand inside the walls here.".formatted(placement.name())));
        }
        return aimed.filter(to -> !place.outside() && walls.between(place.point(), to))
                .map(to -> Phrase.of(
                        placement.kind() == PlacementKind.CAMERA
                                ? "A wall stands in the camera’s view of %s.".formatted(name(mark))
                                : "A wall stands between %s and %s.".formatted(placement.name(), name(mark))));
    }

    private String name(Optional<String> mark) {
        return mark.map(m -> scene.placement(m).name()).orElse("its mark");
    }

    /** As far back as it can go on the line to its mark, and what that does to the light. */
    private Phrase nearest(Placement placement, PlanPoint from, PlanPoint mark, Walls walls) {
        double in = 0;
        double out = 1;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (in + out) / 2;
            PlanPoint at = PlanPoint.of(
                    mark.xM() + (from.xM() - mark.xM()) * middle, mark.yM() + (from.yM() - mark.yM()) * middle);
            boolean free = walls.encloses(at)
                    && walls.distanceM(at) >= placement.piece().widthM() / 2;
            in = free ? middle : in;
            out = free ? out : middle;
        }
        double throwM = from.distanceM(mark);
        if (in <= 0) {
            return Phrase.of("There is no room for it between the wall and its mark.");
        }
        Phrase room = Phrase.format(
                "There is room for a throw of %s, recorded %s",
                Phrase.of(Length.ofMetres(throwM * in)), Phrase.of(Length.ofMetres(throwM)));
        return placement.kind().isLight()
                ? Phrase.format(
                        "%s: about %s stop over on the mark there.",
                        room,
                        Phrase.of(Stops.of(-2 * Stops.fromRatio(in).value()).inTenths()))
                : Phrase.format("%s.", room);
    }

    private Optional<Phrase> tooHigh(Placement placement) {
        Double ceiling = scene.set().ceilingHeightM();
        boolean inside = state.value(placement.key(), Place.class)
                .map(p -> scene.set().tapeWalls().encloses(p.point()))
                .orElse(false);
        double half = placement.kind() == PlacementKind.MARK || placement.kind() == PlacementKind.CAMERA
                ? 0
                : placement.piece().tallM() / 2;
        return ceiling == null || !inside
                ? Optional.empty()
                : state.value(placement.key(), Height.class)
                        .filter(h -> h.heightM() + half > ceiling)
                        .map(h -> Phrase.format(
                                placement.name() + " at %s does not go under this ceiling of %s.",
                                Phrase.of(Length.ofMetres(h.heightM())),
                                Phrase.of(Length.ofMetres(ceiling))));
    }
}
