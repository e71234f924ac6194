package org.oblume.core.rebuild;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ShotState;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.TapePair;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Refusal;

/** The steps that rebuild one shot: everything that stands in it, in the scene's build order. */
public final class RebuildSheet {

    /** A lamp that cannot be dialled above this colour is taken to have a hot filament, kelvin (model). */
    private static final double FILAMENT_UP_TO_K = 3400;

    private static final double HOT_FROM_W = 150;

    private RebuildSheet() {}

    /**
     * @param placements of the scene, in its own order, which holds within a role
     * @return a step for each placement on set; one that is struck or was never placed needs none, nor does daylight
     */
    public static List<RebuildStep> steps(SetPlan set, List<Placement> placements, ShotState state, BuildOrder order) {
        return placements.stream()
                .filter(p -> state.isOnSet(p.key()) && p.kind() != PlacementKind.DAYLIGHT)
                .sorted(Comparator.comparingInt(p -> order.rank(p.role())))
                .map(p -> new RebuildStep(
                        p, tapes(set, state, p.key()).orElse(null), cautions(p, state), newestChange(p, state)))
                .toList();
    }

    /** The two best tapes for a placement; empty when it has no place or no two landmarks give it. */
    public static Optional<TapePair> tapes(SetPlan set, ShotState state, String placement) {
        return state.value(placement, Place.class).map(Place::point).flatMap(point -> tapes(set, point));
    }

    private static Optional<TapePair> tapes(SetPlan set, PlanPoint point) {
        try {
            return Optional.of(TapePair.choose(point, set.landmarks(), set.tapeWalls()));
        } catch (Refusal none) {
            return Optional.empty();
        }
    }

    /** What to mind while a thing is moved or set, a sentence each. */
    public static List<String> cautions(Placement placement, ShotState state) {
        List<String> cautions = new ArrayList<>();
        Mount mount = placement.piece().mount();
        if (mount == Mount.STAND) {
            cautions.add("Bag the high leg. Tallest leg under the load.");
        }
        if (mount == Mount.OVERHEAD) {
            cautions.add("Overhead: rated points, safety bond, a qualified rigger. Clear the floor below.");
        }
        if (state.value(placement.key(), Place.class).map(Place::outside).orElse(false)) {
            cautions.add("Outside: keep cable joints dry and off the ground; wind takes stands. Ask the electrician.");
        }
        Double highest = placement.piece().highestKelvin();
        boolean hot = highest != null
                && highest <= FILAMENT_UP_TO_K
                && placement.piece().watts() >= HOT_FROM_W;
        if (hot) {
            cautions.add("Hot lamp: clear of cloth, gel and sprinklers. Let it cool before it is moved.");
        }
        if (hot
                && state.value(placement.key(), Modifiers.class)
                        .map(m -> !m.items().isEmpty())
                        .orElse(false)) {
            cautions.add("Keep gel and cloth off the hot front.");
        }
        return cautions;
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
