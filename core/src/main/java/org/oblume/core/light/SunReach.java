package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Checks;

/**
 * Where the sun comes on a set: the way from a point to it meets no wall, ceiling, furniture or grip, and leaves a room by an opening
 * (model: what stands outside of the drawing is not known; panes let it through, nets and cloth do not).
 */
public final class SunReach {

    private static final double SUN_AT_M = 400;
    private static final double ASIDE_M = 0.02;
    private static final double LEAST_APART_M = 0.05;
    private static final int MOST_LINES = 400;
    private static final Set<PlacementKind> STOPS = Set.of(
            PlacementKind.FLAG,
            PlacementKind.NET,
            PlacementKind.FRAME,
            PlacementKind.CURTAIN,
            PlacementKind.BOUNCE,
            PlacementKind.MIRROR);

    private final SetPlan set;
    private final SetHall hall;
    private final List<Panel> grip;

    /** A stretch of the floor, or of the top of a piece of furniture, on which the sun lies. */
    public record Lit(PlanPoint from, PlanPoint to, double heightM) {}

    public SunReach(SetPlan set, List<Placement> placements, RecordedState state) {
        this.set = set;
        this.hall = SetHall.of(set, List.of());
        this.grip = placements.stream()
                .filter(p -> STOPS.contains(p.kind()) && state.isOnSet(p.key()))
                .flatMap(p -> state.panel(p).stream())
                .toList();
    }

    public boolean reaches(SunDirection sun, SpacePoint point) {
        return sun.elevationDeg() > 0 && clear(point, towards(sun));
    }

    Direction towards(SunDirection sun) {
        return towards(sun, set.northDeg());
    }

    /** The opening by which it comes to a point; empty when it does not, and when it comes by none. */
    public Optional<SetPlan.Opening> by(SunDirection sun, SpacePoint point) {
        return reaches(sun, point) ? passed(set, point, towards(sun, set.northDeg())) : Optional.empty();
    }

    static Optional<SetPlan.Opening> passed(SetPlan set, SpacePoint point, Direction toSun) {
        return SetHall.of(set, List.of())
                .passed(point, toSun.from(point, SUN_AT_M))
                .map(SetHall.Passed::opening);
    }

    private boolean clear(SpacePoint point, Direction toSun) {
        SpacePoint far = toSun.from(point, SUN_AT_M);
        return !hall.hall().between(point, far) && grip.stream().noneMatch(panel -> panel.crosses(point, far));
    }

    /**
     * Where it lies in the rooms of the set, in lines from left to right: on the floor and on what stands on it. None while it is down, and
     * none where there is no closed room.
     *
     * @param apartM of the lines and of the points that are looked at, metres, 0.05 or more; wider where there would be more than 400 lines
     */
    public List<Lit> lies(SunDirection sun, double apartM) {
        Checks.within("apartM", "How far apart the lines are", apartM, LEAST_APART_M, 10, " m");
        List<Lit> all = new ArrayList<>();
        if (!(sun.elevationDeg() > 0)) {
            return all;
        }
        Direction toSun = towards(sun);
        for (List<PlanPoint> room : hall.rooms()) {
            double left = room.stream().mapToDouble(PlanPoint::xM).min().orElseThrow();
            double right = room.stream().mapToDouble(PlanPoint::xM).max().orElseThrow();
            double low = room.stream().mapToDouble(PlanPoint::yM).min().orElseThrow();
            double high = room.stream().mapToDouble(PlanPoint::yM).max().orElseThrow();
            double step = Math.max(apartM, Math.max(right - left, high - low) / MOST_LINES);
            for (double y = low + step / 2; y < high; y += step) {
                line(all, room, toSun, y, new double[] {left, right, step});
            }
        }
        return all;
    }

    private void line(List<Lit> all, List<PlanPoint> room, Direction toSun, double y, double[] along) {
        double from = Double.NaN;
        double height = 0;
        for (double x = along[0] + along[2] / 2; x < along[1] + along[2]; x += along[2]) {
            double top = top(x, y);
            boolean lit =
                    x < along[1] && Walls.contains(room, x, y) && clear(new SpacePoint(x, y, top + ASIDE_M), toSun);
            if (!Double.isNaN(from) && (!lit || top != height)) {
                all.add(new Lit(PlanPoint.of(from, y), PlanPoint.of(x - along[2] / 2, y), height));
                from = Double.NaN;
            }
            if (lit && Double.isNaN(from)) {
                from = x - along[2] / 2;
                height = top;
            }
        }
    }

    private double top(double x, double y) {
        return set.furniture().stream()
                .filter(f -> Walls.contains(f.outline(), x, y))
                .mapToDouble(SetPlan.Furniture::heightM)
                .max()
                .orElse(0);
    }

    /**
     * The way to the sun.
     *
     * @param northDeg bearing of true north on the plan
     */
    public static Direction towards(SunDirection sun, double northDeg) {
        return Direction.of(Bearing.ofDegrees(northDeg + sun.azimuth().degrees()), sun.elevationDeg());
    }
}
