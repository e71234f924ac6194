package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Wall;

/**
 * What stands between two points of a set: walls with their openings and heights, the ceiling, grip. Walls and grip have no
 * thickness (model). A window lets light pass, whatever hangs at it.
 */
final class Occlusion {

    /** A way that ends this near to a wall does not cross it, as part of the way. */
    private static final double AT_ITS_END = 1e-6;
    /** An opening is in a wall when it is this near to it, metres. */
    private static final double IN_THE_WALL_M = 0.05;
    /** Points of a source that are looked from: its middle, and six around it at this part of its radius. */
    private static final int AROUND = 6;

    private static final double RING = 0.75;

    private final List<Segment> walls = new ArrayList<>();
    private final List<SetPlan.Opening> openings;
    private final List<Grip> grip;
    private final @Nullable Double ceilingM;
    private final SetPlan set;

    /**
     * A straight piece of wall.
     *
     * @param topM its upper edge, metres
     */
    record Segment(PlanPoint from, PlanPoint to, double topM, Wall wall) {

        /** Part of the way from one point to another where it meets this wall, or NaN when it does not. */
        double meets(double ax, double ay, double bx, double by) {
            double wx = to.xM() - from.xM();
            double wy = to.yM() - from.yM();
            double dx = bx - ax;
            double dy = by - ay;
            double across = dx * wy - dy * wx;
            if (across == 0) {
                return Double.NaN;
            }
            double ox = from.xM() - ax;
            double oy = from.yM() - ay;
            double along = (ox * dy - oy * dx) / across;
            return along < 0 || along > 1 ? Double.NaN : (ox * wy - oy * wx) / across;
        }
    }

    /**
     * @param part of the light that comes through, 0 to 1
     * @param through what it comes through of grip, in its order
     */
    record Transmission(double part, List<Modifier> through) {

        static final Transmission BLOCKED = new Transmission(0, List.of());
        static final Transmission FREE = new Transmission(1, List.of());
    }

    Occlusion(SetPlan set, List<Grip> grip) {
        this.set = set;
        this.openings = set.openings();
        this.grip = grip;
        this.ceilingM = set.ceilingHeightM();
        for (Wall wall : set.walls()) {
            double top = wall.heightM() != null ? wall.heightM() : Double.MAX_VALUE;
            for (int i = 1; i < wall.points().size(); i++) {
                walls.add(new Segment(wall.points().get(i - 1), wall.points().get(i), top, wall));
            }
        }
    }

    List<Segment> walls() {
        return walls;
    }

    /** What of a source's light comes to a point, its emitter taken as a disc that faces there. */
    Transmission from(SpacePoint source, double radiusM, SpacePoint target, @Nullable String except) {
        if (source.coincides(target)) {
            return Transmission.FREE;
        }
        Direction way = Direction.between(source, target);
        Direction right = way.aside();
        Direction up = way.cross(right);
        double sum = 0;
        List<Modifier> through = List.of();
        int points = radiusM == 0 ? 1 : AROUND + 1;
        for (int i = 0; i < points; i++) {
            SpacePoint at = source;
            if (i > 0) {
                double turn = 2 * Math.PI * i / AROUND;
                at = up.from(right.from(source, RING * radiusM * Math.cos(turn)), RING * radiusM * Math.sin(turn));
            }
            Transmission one = between(at, target, except);
            sum += one.part;
            if (through.isEmpty()) {
                through = one.through;
            }
        }
        return sum == 0 ? Transmission.BLOCKED : new Transmission(sum / points, through);
    }

    /**
     * What of a thin ray comes from one point to another.
     *
     * @param except key of grip that does not count, or null
     */
    Transmission between(SpacePoint from, SpacePoint to, @Nullable String except) {
        if (wallBetween(from, to)) {
            return Transmission.BLOCKED;
        }
        double part = 1;
        @Nullable List<Modifier> through = null;
        for (Grip piece : grip) {
            if (!piece.key().equals(except) && piece.panel().crosses(from, to)) {
                if (piece.stops()) {
                    return Transmission.BLOCKED;
                }
                part *= piece.stack().effect().stops().transmission();
                through = through == null ? new ArrayList<>() : through;
                through.addAll(piece.through());
            }
        }
        return through == null ? Transmission.FREE : new Transmission(part, through);
    }

    /** Whether walls or the ceiling stand between two points. */
    boolean wallBetween(SpacePoint from, SpacePoint to) {
        for (Segment wall : walls) {
            double part = wall.meets(from.xM(), from.yM(), to.xM(), to.yM());
            if (part > AT_ITS_END && part < 1 - AT_ITS_END) {
                double z = from.zM() + part * (to.zM() - from.zM());
                if (z <= wall.topM
                        && !open(
                                from.xM() + part * (to.xM() - from.xM()),
                                from.yM() + part * (to.yM() - from.yM()),
                                z)) {
                    return true;
                }
            }
        }
        return ceilingM != null && throughCeiling(from, to, ceilingM);
    }

    private boolean throughCeiling(SpacePoint from, SpacePoint to, double height) {
        double below = height - from.zM();
        double above = to.zM() - height;
        if (below * above <= 0) {
            return false;
        }
        double part = below / (below + above);
        return set.tapeWalls()
                .encloses(PlanPoint.of(
                        from.xM() + part * (to.xM() - from.xM()), from.yM() + part * (to.yM() - from.yM())));
    }

    /** An opening, and where a way goes through it. */
    record Passed(SetPlan.Opening opening, SpacePoint at) {}

    /** The last opening that a way goes through, or empty. */
    Optional<Passed> passed(SpacePoint from, SpacePoint to) {
        Optional<Passed> last = Optional.empty();
        double farthest = 0;
        for (Segment wall : walls) {
            double part = wall.meets(from.xM(), from.yM(), to.xM(), to.yM());
            if (part > farthest && part < 1) {
                SpacePoint at = new SpacePoint(
                        from.xM() + part * (to.xM() - from.xM()),
                        from.yM() + part * (to.yM() - from.yM()),
                        from.zM() + part * (to.zM() - from.zM()));
                Optional<SetPlan.Opening> opening = opening(at.xM(), at.yM(), at.zM());
                if (opening.isPresent()) {
                    farthest = part;
                    last = opening.map(o -> new Passed(o, at));
                }
            }
        }
        return last;
    }

    /** Whether a point of a wall lies in an opening of it. */
    boolean open(double xM, double yM, double zM) {
        return opening(xM, yM, zM).isPresent();
    }

    private Optional<SetPlan.Opening> opening(double xM, double yM, double zM) {
        for (SetPlan.Opening opening : openings) {
            if (zM >= opening.sillM() && zM <= opening.headM()) {
                double wx = opening.to().xM() - opening.from().xM();
                double wy = opening.to().yM() - opening.from().yM();
                double squared = wx * wx + wy * wy;
                double ox = xM - opening.from().xM();
                double oy = yM - opening.from().yM();
                double along = (ox * wx + oy * wy) / squared;
                double off = Math.abs(ox * wy - oy * wx) / Math.sqrt(squared);
                if (along >= 0 && along <= 1 && off <= IN_THE_WALL_M) {
                    return Optional.of(opening);
                }
            }
        }
        return Optional.empty();
    }
}
