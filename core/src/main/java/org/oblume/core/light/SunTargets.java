package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.day.LightSpan;
import org.oblume.core.day.SunSpans;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.NamedWall;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetPlan;

/** When the sun comes on the marks and the walls of a set, and by which opening. A wall is looked at every quarter of a metre (model). */
public final class SunTargets {

    private static final double APART_M = 0.25;
    private static final double ASIDE_M = 0.03;
    private static final double[] HEIGHTS_M = {0.5, 1.2, 1.9};

    private SunTargets() {}

    /**
     * When it comes on something.
     *
     * @param mark key of the mark, or null of a wall
     * @param comes in order, one after the other
     */
    public record Target(String name, @Nullable String mark, List<Comes> comes) {}

    /** @param by name of the opening, or null where it comes by none */
    public record Comes(LightSpan span, @Nullable String by) {}

    /** A place that it may come on; a wall is lit from the side that it looks to. */
    private record Spot(SpacePoint at, @Nullable Direction looksTo) {

        boolean looksTo(Direction sun) {
            return looksTo == null || looksTo.dot(sun) > 0;
        }
    }

    /** Marks first, in the scene's order; walls on which it never comes are left out. */
    public static List<Target> of(SetPlan set, List<Placement> placements, RecordedState state, SunSpans day) {
        SunReach reach = new SunReach(set, placements, state);
        List<Target> all = new ArrayList<>();
        for (Placement mark : state.marks(placements)) {
            state.position(mark.key())
                    .ifPresent(at -> all.add(
                            new Target(mark.name(), mark.key(), comes(reach, List.of(new Spot(at, null)), day))));
        }
        for (NamedWall wall : NamedWall.of(set)) {
            List<Comes> comes = comes(reach, spots(wall), day);
            if (!comes.isEmpty()) {
                all.add(new Target(wall.name(), null, comes));
            }
        }
        return all;
    }

    /** Inside of its room; of a wall that stands alone on both sides. */
    private static List<Spot> spots(NamedWall wall) {
        double length = wall.from().distanceM(wall.to());
        int parts = (int) Math.ceil(length / APART_M);
        double across = (wall.to().xM() - wall.from().xM()) / length;
        double up = (wall.to().yM() - wall.from().yM()) / length;
        List<Spot> all = new ArrayList<>();
        for (int i = 0; i < parts; i++) {
            double along = (i + 0.5) / parts * length;
            for (double side : new double[] {-ASIDE_M, ASIDE_M}) {
                double x = wall.from().xM() + across * along - up * side;
                double y = wall.from().yM() + up * along + across * side;
                if (wall.room().isEmpty() || Walls.contains(wall.room(), x, y)) {
                    for (double height : HEIGHTS_M) {
                        all.add(new Spot(PlanPoint.of(x, y).at(height), new Direction(-up * side, across * side, 0)));
                    }
                }
            }
        }
        return all;
    }

    private static List<Comes> comes(SunReach reach, List<Spot> spots, SunSpans day) {
        List<Comes> all = new ArrayList<>();
        Function<SunDirection, Optional<String>> by = sun -> spots.stream()
                .filter(s -> s.looksTo(reach.towards(sun)) && reach.reaches(sun, s.at))
                .findFirst()
                .map(s -> reach.by(sun, s.at).map(SetPlan.Opening::name).orElse(""));
        day.by(by).forEach(told -> all.add(new Comes(told.span(), told.what().isEmpty() ? null : told.what())));
        return all;
    }
}
