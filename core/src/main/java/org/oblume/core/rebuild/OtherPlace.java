package org.oblume.core.rebuild;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Wall;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/** What another place than the recorded one lacks, or has in the way: its openings and its furniture. */
final class OtherPlace {

    /** So far from an opening daylight still counts as coming in by it, metres (a setting of the model). */
    private static final double AT_OPENING_M = 0.5;

    private static final double STEP_M = 0.05;

    private final SceneRecord scene;
    private final ShotState state;
    private final SetPlan set;

    OtherPlace(SceneRecord scene, ShotState state) {
        this.scene = scene;
        this.state = state;
        this.set = scene.set();
    }

    /** @return empty when nothing is missing and nothing in the way */
    Optional<Phrase> misfit(Placement placement) {
        return state.value(placement.key(), Place.class)
                .flatMap(place -> placement.kind() == PlacementKind.DAYLIGHT
                        ? daylight(placement, place.point())
                        : fromOutside(placement, place)
                                .or(() -> onFurniture(placement, place.point()))
                                .or(() -> behindFurniture(placement)));
    }

    private Optional<Phrase> daylight(Placement daylight, PlanPoint at) {
        Optional<SetPlan.Opening> nearest = set.openings().stream().min(Comparator.comparingDouble(o -> away(o, at)));
        return nearest.map(o -> away(o, at) <= AT_OPENING_M
                        ? Optional.<Phrase>empty()
                        : Optional.of(Phrase.format(
                                "%s comes in by an opening that this place has not: the nearest, %s, is %s away.",
                                Phrase.of(daylight.name()),
                                Phrase.of(o.name()),
                                Phrase.of(Length.ofMetres(away(o, at))))))
                .orElse(Optional.of(
                        Phrase.of("%s comes in by an opening, and this place has none.".formatted(daylight.name()))));
    }

    private static double away(SetPlan.Opening opening, PlanPoint at) {
        return new Walls(List.of(List.of(opening.from(), opening.to())), List.of()).distanceM(at);
    }

    private Optional<Phrase> fromOutside(Placement light, Place place) {
        Walls rooms = set.tapeWalls();
        if (!light.kind().shines() || !place.outside() || !rooms.haveARoom() || rooms.encloses(place.point())) {
            return Optional.empty();
        }
        Walls forLight = new Walls(
                set.walls().stream().map(Wall::points).toList(),
                set.openings().stream()
                        .filter(SetPlan.Opening::letsLightThrough)
                        .map(o -> new Walls.Opening(o.from(), o.to()))
                        .toList());
        return aimedAt(light)
                .filter(mark -> state.value(mark.key(), Place.class)
                        .map(Place::point)
                        .filter(to -> rooms.encloses(to) && forLight.between(place.point(), to))
                        .isPresent())
                .map(mark -> Phrase.of(
                        "%s lights %s from outside, and no window or open door of this place lies between them."
                                .formatted(light.name(), mark.name())));
    }

    private Optional<Placement> aimedAt(Placement placement) {
        return Stream.of(placement)
                .flatMap(p -> state.value(p.key(), AimSetting.class).map(AimSetting::mark).stream())
                .filter(state::isOnSet)
                .map(scene::placement)
                .findFirst();
    }

    private Optional<Phrase> onFurniture(Placement placement, PlanPoint at) {
        boolean onTheFloor = placement.kind() == PlacementKind.CAMERA
                || placement.kind() == PlacementKind.MARK
                || placement.piece().mount() == Mount.STAND;
        return !onTheFloor
                ? Optional.empty()
                : set.furniture().stream()
                        .filter(f -> Walls.contains(f.outline(), at.xM(), at.yM()))
                        .findFirst()
                        .map(f -> Phrase.of(
                                "%s would stand where this place has its %s.".formatted(placement.name(), f.name())));
    }

    /** Furniture on the way of its light, or of the camera's view; what either of them stands on is not in the way. */
    private Optional<Phrase> behindFurniture(Placement placement) {
        if (!placement.kind().shines() && placement.kind() != PlacementKind.CAMERA) {
            return Optional.empty();
        }
        return aimedAt(placement).flatMap(mark -> state.position(placement.key())
                .flatMap(from -> state.position(mark.key()).flatMap(to -> set.furniture().stream()
                        .filter(f -> isBetween(f, from, to))
                        .findFirst()
                        .map(f -> Phrase.of("%s of this place stands between %s and %s."
                                .formatted(capital(f.name()), placement.name(), mark.name()))))));
    }

    private static boolean isBetween(SetPlan.Furniture furniture, SpacePoint from, SpacePoint to) {
        if (holds(furniture, from) || holds(furniture, to)) {
            return false;
        }
        int steps = (int) Math.ceil(from.distanceM(to) / STEP_M);
        for (int i = 1; i < steps; i++) {
            double part = (double) i / steps;
            SpacePoint at = new SpacePoint(
                    from.xM() + part * (to.xM() - from.xM()),
                    from.yM() + part * (to.yM() - from.yM()),
                    from.zM() + part * (to.zM() - from.zM()));
            if (holds(furniture, at) && at.zM() < furniture.heightM()) {
                return true;
            }
        }
        return false;
    }

    private static boolean holds(SetPlan.Furniture furniture, SpacePoint at) {
        return Walls.contains(furniture.outline(), at.xM(), at.yM());
    }

    private static String capital(String name) {
        return name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
    }
}
