package org.oblume.core.rebuild;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.ShotState;
import org.oblume.core.caution.Cautions;
import org.oblume.core.geometry.Measured;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Tape;
import org.oblume.core.geometry.TapeCheck;
import org.oblume.core.geometry.TapePair;
import org.oblume.core.geometry.Taped;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Refusal;

/** The steps that rebuild one shot: everything that stands in it, in the scene's build order. */
public final class RebuildSheet {

    private RebuildSheet() {}

    /**
     * @param placements of the scene, in its own order, which holds within a role
     * @return a step for each placement on set; one that is struck or was never placed needs none, nor does daylight
     */
    public static List<RebuildStep> steps(SetPlan set, List<Placement> placements, ShotState state, BuildOrder order) {
        return placements.stream()
                .filter(p ->
                        state.isOnSet(p.key()) && p.kind() != PlacementKind.DAYLIGHT && p.kind() != PlacementKind.CUE)
                .sorted(Comparator.comparingInt(p -> order.rank(p.role())))
                .map(p -> new RebuildStep(
                        p, tapes(set, state, p.key()).orElse(null), Cautions.of(p, state), newestChange(p, state)))
                .toList();
    }

    /** The crew's own tapes as they were pulled, while their landmarks are drawn where they were then. */
    public static Optional<Taped> ownTapes(SetPlan set, RecordedState state, String placement) {
        return state.value(placement, Place.class)
                .map(Place::measured)
                .filter(m -> m.standsIn(set.landmarks()))
                .map(Measured::taped);
    }

    /** The two tapes for a placement: the crew's own, else the best; empty when it has no place or no two landmarks give it. */
    public static Optional<TapePair> tapes(SetPlan set, RecordedState state, String placement) {
        return ownTapes(set, state, placement)
                .map(Taped::pair)
                .or(() -> state.value(placement, Place.class).map(Place::point).flatMap(point -> tapes(set, point)));
    }

    /** A third tape that checks the two: the crew's own, else the one that crosses them best; empty when there is none. */
    public static Optional<Tape> check(SetPlan set, RecordedState state, String placement, TapePair tapes) {
        return ownTapes(set, state, placement)
                .map(Taped::tapes)
                .filter(own -> own.size() > 2)
                .map(own -> own.get(2))
                .or(() -> state.value(placement, Place.class).map(Place::point).flatMap(point -> TapeCheck.third(
                                tapes, point, set.landmarks(), set.tapeWalls())
                        .map(l -> new Tape(l, l.point().distanceM(point)))));
    }

    private static Optional<TapePair> tapes(SetPlan set, PlanPoint point) {
        try {
            return Optional.of(TapePair.choose(point, set.landmarks(), set.tapeWalls()));
        } catch (Refusal none) {
            return Optional.empty();
        }
    }

    private static Instant newestChange(Placement placement, ShotState state) {
        @Nullable
        String mark = state.value(placement.key(), AimSetting.class)
                .map(AimSetting::mark)
                .orElse(null);
        Stream<Knot> aimedAt = mark == null ? Stream.of() : state.knot(mark, Attribute.PLACE).stream();
        return Stream.concat(state.knots(placement.key()).stream(), aimedAt)
                .map(k -> k.attribution().at())
                .max(Comparator.naturalOrder())
                .orElse(Instant.EPOCH);
    }
}
