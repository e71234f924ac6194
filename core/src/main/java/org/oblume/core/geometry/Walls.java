package org.oblume.core.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * The walls of a set on its plan, as polylines, with gaps where an opening lets a tape through. Walls have no thickness
 * (model): a landmark on a wall line, such as a window post, can be taped from either side.
 *
 * @param polylines each a list of two or more points, first to last; a room is one whose last point is its first
 * @param openings doors and windows, each two points on a wall
 */
public record Walls(List<List<PlanPoint>> polylines, List<Opening> openings) {

    public static final Walls NONE = new Walls(List.of(), List.of());
    /** A point this near to a wall line counts as standing at it, metres. */
    private static final double AT_THE_WALL_M = 1e-6;

    /** A gap in a wall between two points of it; a closed window is not a gap for a tape. */
    public record Opening(PlanPoint from, PlanPoint to) {}

    public Walls {
        polylines = polylines.stream().map(List::copyOf).toList();
        openings = List.copyOf(openings);
    }

    /** Whether a wall stands between two points; the way through an opening is free. */
    public boolean between(PlanPoint from, PlanPoint to) {
        for (List<PlanPoint> wall : polylines) {
            for (int i = 1; i < wall.size(); i++) {
                if (Plane.cross(from, to, wall.get(i - 1), wall.get(i), AT_THE_WALL_M) && !throughOpening(from, to)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether a point lies in a closed room of these walls. With no closed room the whole plan is inside. */
    public boolean encloses(PlanPoint point) {
        List<List<PlanPoint>> rooms = rooms();
        return rooms.isEmpty() || rooms.stream().anyMatch(room -> inside(room, point));
    }

    /** Whether they close a room. */
    public boolean haveARoom() {
        return !rooms().isEmpty();
    }

    /** Metres from a point to the nearest wall; 0 when there is no wall. */
    public double distanceM(PlanPoint point) {
        double nearest = Double.MAX_VALUE;
        for (List<PlanPoint> wall : polylines) {
            for (int i = 1; i < wall.size(); i++) {
                nearest = Math.min(nearest, Plane.distanceM(point, wall.get(i - 1), wall.get(i)));
            }
        }
        return nearest == Double.MAX_VALUE ? 0 : nearest;
    }

    private boolean throughOpening(PlanPoint from, PlanPoint to) {
        return openings.stream().anyMatch(o -> Plane.cross(from, to, o.from(), o.to(), AT_THE_WALL_M));
    }

    private List<List<PlanPoint>> rooms() {
        List<List<PlanPoint>> rooms = new ArrayList<>();
        for (List<PlanPoint> wall : polylines) {
            if (wall.size() > 3 && wall.get(0).equals(wall.get(wall.size() - 1))) {
                rooms.add(wall);
            }
        }
        return rooms;
    }

    /** A point at the wall line is inside. */
    private static boolean inside(List<PlanPoint> room, PlanPoint p) {
        for (int i = 1; i < room.size(); i++) {
            if (Plane.distanceM(p, room.get(i - 1), room.get(i)) <= AT_THE_WALL_M) {
                return true;
            }
        }
        return contains(room, p.xM(), p.yM());
    }

    /**
     * Whether a point lies within an outline, by the even-odd rule.
     *
     * @param outline corners in order; the last may be the first again
     */
    public static boolean contains(List<PlanPoint> outline, double xM, double yM) {
        boolean in = false;
        for (int i = 0; i < outline.size(); i++) {
            PlanPoint a = outline.get(i);
            PlanPoint b = outline.get((i + 1) % outline.size());
            if (a.yM() > yM != b.yM() > yM && xM < (b.xM() - a.xM()) * (yM - a.yM()) / (b.yM() - a.yM()) + a.xM()) {
                in = !in;
            }
        }
        return in;
    }
}
