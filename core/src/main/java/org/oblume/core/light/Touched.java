package org.oblume.core.light;

import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Wall;
import org.oblume.core.units.Checks;

/**
 * A small surface at a place of a set that somebody points at on the plan.
 *
 * @param on what it lies on
 * @param name of the furniture, or null
 * @param at its middle
 * @param normal the way it looks
 */
public record Touched(On on, @Nullable String name, SpacePoint at, Direction normal) {

    private static final double USUAL_HEIGHT_M = 1.5;
    private static final double HIGHEST_M = 60;
    private static final double FARTHEST_M = 10_000;
    private static final double ASIDE_M = 0.01;

    /** What is touched. */
    public enum On {
        FLOOR,
        FURNITURE,
        WALL,
        /** Nothing: a small level-held card that looks to the camera. */
        AIR
    }

    /**
     * What a point of the plan is on: a wall that is near, else what stands there, else the floor; with a height and no wall, the air there.
     *
     * @param heightM 0 to 60 metres, or null: then 1.5 m on a wall, and the surface otherwise
     * @param withinM how near a wall has to be, metres, 0 or more
     * @param lens to which a card in the air looks, or null: then it looks up
     */
    public static Touched of(
            SetPlan set, PlanPoint point, @Nullable Double heightM, double withinM, @Nullable SpacePoint lens) {
        Checks.within("xM", "How far right", point.xM(), -FARTHEST_M, FARTHEST_M, " m");
        Checks.within("yM", "How far up the plan", point.yM(), -FARTHEST_M, FARTHEST_M, " m");
        if (heightM != null) {
            Checks.within("heightM", "The height", heightM, 0, HIGHEST_M, " m");
        }
        Touched wall = wall(set, point, heightM == null ? USUAL_HEIGHT_M : heightM, withinM);
        if (wall != null) {
            return wall;
        }
        if (heightM != null && heightM > 0) {
            SpacePoint at = point.at(heightM);
            Direction to = lens == null || lens.coincides(at) ? Direction.UP : Direction.between(at, lens);
            return new Touched(On.AIR, null, at, to);
        }
        return set.furniture().stream()
                .filter(f -> f.heightM() > 0 && Walls.contains(f.outline(), point.xM(), point.yM()))
                .findFirst()
                .map(f -> new Touched(On.FURNITURE, f.name(), point.at(f.heightM()), Direction.UP))
                .orElseGet(() -> new Touched(On.FLOOR, null, point.at(0), Direction.UP));
    }

    private static @Nullable Touched wall(SetPlan set, PlanPoint point, double heightM, double withinM) {
        double nearest = withinM;
        @Nullable PlanPoint from = null;
        @Nullable PlanPoint to = null;
        for (Wall wall : set.walls()) {
            double top = wall.heightM() != null
                    ? wall.heightM()
                    : set.ceilingHeightM() != null ? set.ceilingHeightM() : HIGHEST_M;
            for (int i = 1; i < wall.points().size(); i++) {
                PlanPoint a = wall.points().get(i - 1);
                PlanPoint b = wall.points().get(i);
                double away = a.distanceM(b) == 0 ? Double.MAX_VALUE : point.distanceM(a, b);
                if (away <= nearest && heightM <= top) {
                    nearest = away;
                    from = a;
                    to = b;
                }
            }
        }
        if (from == null || to == null || isThroughAnOpening(set, from, to, point, heightM)) {
            return null;
        }
        Direction along = Direction.between(from.at(0), to.at(0));
        Direction left = new Direction(-along.y(), along.x(), 0);
        double across = (point.xM() - from.xM()) * along.x() + (point.yM() - from.yM()) * along.y();
        double off = (point.xM() - from.xM()) * left.x() + (point.yM() - from.yM()) * left.y();
        double within = Math.max(ASIDE_M, Math.min(from.distanceM(to) - ASIDE_M, across));
        SpacePoint at = along.from(from.at(heightM), within);
        Walls walls = set.tapeWalls();
        boolean leftIsIn = walls.encloses(left.from(at, ASIDE_M).onPlan());
        boolean rightIsIn = walls.encloses(left.from(at, -ASIDE_M).onPlan());
        boolean looksLeft = leftIsIn == rightIsIn ? off >= 0 : leftIsIn;
        return new Touched(On.WALL, null, at, looksLeft ? left : left.opposite());
    }

    private static boolean isThroughAnOpening(
            SetPlan set, PlanPoint from, PlanPoint to, PlanPoint point, double heightM) {
        Direction along = Direction.between(from.at(0), to.at(0));
        double across = (point.xM() - from.xM()) * along.x() + (point.yM() - from.yM()) * along.y();
        PlanPoint on = along.from(from.at(0), across).onPlan();
        return set.openings().stream()
                .anyMatch(o -> o.letsLightThrough()
                        && heightM > o.sillM()
                        && heightM < o.headM()
                        && on.distanceM(o.from(), o.to()) < ASIDE_M);
    }
}
