package org.oblume.server.shot;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.AlongWall;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.Measured;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Polar;
import org.oblume.core.geometry.Side;
import org.oblume.core.geometry.Tape;
import org.oblume.core.geometry.Taped;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Length;
import org.oblume.core.units.Refusal;

/**
 * A place as a person measures it on set; exactly one of tapes, polar, alongWall and onLandmark. Lengths are as typed.
 *
 * @param tapes two to six; each after the second checks those before
 * @param side of the walk from the first landmark to the second; left out where a further tape, the walls or its last place tell it
 * @param onLandmark name of the landmark that it stands on
 * @param outside whether it stands outside the walls on purpose; as before where that is not said
 */
record MeasuredBody(
        @Nullable List<TypedTape> tapes,
        @Nullable Side side,
        @Nullable TypedPolar polar,
        @Nullable TypedWall alongWall,
        @Nullable String onLandmark,
        @Nullable Boolean outside) {

    record TypedTape(String landmark, String length) {

        static List<Tape> tapes(List<TypedTape> typed, SetPlan set) {
            return typed.stream()
                    .map(t -> new Tape(MeasuredBody.landmark(set, t.landmark), metres("tapes", t.length)))
                    .toList();
        }
    }

    /**
     * @param mark key of the mark
     * @param offDeg off the way from there to the camera, 0–180°
     * @param side camera left or right, as one looks through it
     */
    record TypedPolar(String mark, String distance, double offDeg, Side side) {}

    /** @param side left out where the walls tell on which side the room lies */
    record TypedWall(String from, String towards, String along, String out, @Nullable Side side) {}

    /**
     * The place that this gives in a shot.
     *
     * @param placement key of the thing, or null for one that is not placed yet
     * @throws Refusal with what is wrong and what to do: tapes that do not meet or disagree, an unknown landmark, a mark without a place
     */
    Place place(RecordedShot shot, @Nullable String placement) {
        Optional<Place> last =
                placement == null ? Optional.empty() : shot.state().value(placement, Place.class);
        boolean out = outside != null ? outside : last.map(Place::outside).orElse(false);
        // of what stands outside the walls, they do not tell the side
        Walls walls = out ? Walls.NONE : shot.record().set().tapeWalls();
        return Place.of(measured(shot, last.map(Place::point).orElse(null), walls), out);
    }

    private Measured measured(RecordedShot shot, @Nullable PlanPoint last, Walls walls) {
        if (Stream.of(tapes, polar, alongWall, onLandmark)
                        .filter(Objects::nonNull)
                        .count()
                > 1) {
            throw new Refusal("measured", "Say it in one way: by tapes, from a mark, along a wall or on a landmark.");
        }
        SetPlan set = shot.record().set();
        if (tapes != null && !tapes.isEmpty()) {
            return Measured.by(Taped.of(TypedTape.tapes(tapes, set), side, set.landmarks(), walls, last));
        }
        if (polar != null) {
            Placement mark = shot.record().placement(polar.mark());
            return Measured.by(new Polar(
                    mark.name(),
                    standing(shot, mark),
                    shot.state()
                            .camera(shot.record().placements())
                            .map(camera -> standing(shot, camera))
                            .orElseThrow(() -> new Refusal(
                                    "camera", "No camera stands in this shot, so that no way leads to it: tape it.")),
                    metres("distance", polar.distance()),
                    polar.offDeg(),
                    polar.side()));
        }
        if (alongWall != null) {
            return Measured.by(AlongWall.of(
                    landmark(set, alongWall.from()),
                    landmark(set, alongWall.towards()),
                    metres("along", alongWall.along()),
                    metres("out", alongWall.out()),
                    alongWall.side(),
                    walls));
        }
        if (onLandmark != null) {
            return Measured.on(landmark(set, onLandmark));
        }
        throw new Refusal("measured", "Say how it was measured: by tapes, from a mark, along a wall or on a landmark.");
    }

    private static PlanPoint standing(RecordedShot shot, Placement thing) {
        return shot.state()
                .value(thing.key(), Place.class)
                .map(Place::point)
                .orElseThrow(() -> new Refusal("mark", "%s has no place yet: tape it first.".formatted(thing.name())));
    }

    private static Landmark landmark(SetPlan set, String name) {
        return set.landmarks().stream()
                .filter(l -> l.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new Refusal(
                        "tapes", "The set has no landmark “%s” any more: choose another one.".formatted(name)));
    }

    private static double metres(String field, String typed) {
        try {
            return Length.parse(typed).metres();
        } catch (Refusal refusal) {
            throw refusal.at(field);
        }
    }
}
