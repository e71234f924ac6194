package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.Wall;
import org.oblume.core.transport.Face;
import org.oblume.core.transport.Hall;
import org.oblume.core.transport.Level;
import org.oblume.core.transport.Sheet;

/** A set as light meets it. */
final class SetHall {

    /** A wall without a height and without a ceiling. */
    private static final double OPEN_WALL_M = 60;
    /** Higher up a wall sends nothing back that matters (model). */
    private static final double LIT_UP_TO_M = 8;
    /** Stops. */
    private static final double PANE = 0.13;

    /** No paint sends everything back: in a closed room it would never end. */
    private static final double MOST_SENT = 0.99;

    private static final double IN_THE_WALL_M = 0.05;
    private static final double ASIDE_M = 0.01;
    /** Ground around what stands outside, metres. */
    private static final double AROUND_M = 3;

    private static final double STEP_M = 2;
    private static final double SEEN_WITHIN_M = 60;
    private static final int KEPT = 6;
    private static final Kept<Key, SetHall> SEEN = new Kept<>(KEPT);

    private final SetPlan set;
    private final List<Face> faces = new ArrayList<>();
    private final List<Level> levels = new ArrayList<>();
    private final List<SeenSurface> seen = new ArrayList<>();
    private final List<Sheet> walls = new ArrayList<>();
    private final List<Sheet> openWalls = new ArrayList<>();
    private final List<Hall.Top> tops = new ArrayList<>();
    private final List<List<PlanPoint>> rooms = new ArrayList<>();
    private final Hall hall;

    private record Key(SetPlan set, @Nullable List<Double> ground) {}

    /** What of the set the camera sees behind a face. */
    record Behind(SpacePoint at, Direction normal) {}

    /**
     * The set, kept from before when it is the same.
     *
     * @param standing where marks and lights are
     */
    static SetHall of(SetPlan plan, List<SpacePoint> standing) {
        SetPlan set = plan.withoutUnderlay();
        Key key = new Key(set, ground(set, standing));
        return SEEN.get(key, () -> new SetHall(set, key.ground));
    }

    private SetHall(SetPlan set, @Nullable List<Double> ground) {
        this.set = set;
        rooms.addAll(rooms(set));
        for (Wall wall : set.walls()) {
            for (int i = 1; i < wall.points().size(); i++) {
                wall(wall, wall.points().get(i - 1), wall.points().get(i), ground != null);
            }
        }
        for (SetPlan.Furniture piece : set.furniture()) {
            furniture(piece);
        }
        List<List<PlanPoint>> covered =
                set.furniture().stream().map(SetPlan.Furniture::outline).toList();
        double[] floor = sent(set.floor() == null ? Surface.FLOOR : set.floor());
        double[] ceiling = sent(set.ceiling() == null ? Surface.CEILING : set.ceiling());
        for (List<PlanPoint> room : rooms) {
            add("floor", new Level(0, true, room, covered, along(room.get(0), room.get(1)), floor, true));
            if (set.ceilingHeightM() != null) {
                add(
                        "ceiling",
                        new Level(
                                set.ceilingHeightM(),
                                false,
                                room,
                                List.of(),
                                along(room.get(0), room.get(1)),
                                ceiling,
                                true));
            }
        }
        if (set.ceilingHeightM() != null && !rooms.isEmpty()) {
            tops.add(new Hall.Top(set.ceilingHeightM(), rooms));
        }
        if (ground != null) {
            outside(ground, floor, covered);
        }
        this.hall = new Hall(faces, levels, walls, openWalls, tops);
    }

    Hall hall() {
        return hall;
    }

    /** The outlines of its closed rooms. */
    List<List<PlanPoint>> rooms() {
        return rooms;
    }

    /** Its surfaces as they are looked at. */
    List<SeenSurface> seen() {
        return seen;
    }

    private void add(String name, Face face) {
        faces.add(face);
        seen.add(new SeenSurface(name, null, face.skin()));
    }

    private void add(String name, Level level) {
        levels.add(level);
        seen.add(new SeenSurface(name, null, level.skin()));
    }

    private static double[] sent(Surface surface) {
        return ConeLight.left(Math.min(MOST_SENT, surface.reflectance()), surface.miredShift(), surface.duvShift());
    }

    private static List<List<PlanPoint>> rooms(SetPlan set) {
        return set.walls().stream()
                .map(Wall::points)
                .filter(p -> p.size() > 3 && p.get(0).equals(p.get(p.size() - 1)))
                .map(p -> p.subList(0, p.size() - 1))
                .toList();
    }

    private static double[] along(PlanPoint from, PlanPoint to) {
        double length = from.distanceM(to);
        return length == 0
                ? new double[] {1, 0}
                : new double[] {(to.xM() - from.xM()) / length, (to.yM() - from.yM()) / length};
    }

    /** The way that everything outside is divided along: with the first wall. */
    private static double[] frame(SetPlan set) {
        return set.walls().isEmpty()
                ? new double[] {1, 0}
                : along(
                        set.walls().get(0).points().get(0),
                        set.walls().get(0).points().get(1));
    }

    /** Where ground lies outside of rooms, as it is divided: along least, most, low, high; null when all that counts is in rooms. */
    private static @Nullable List<Double> ground(SetPlan set, List<SpacePoint> standing) {
        List<List<PlanPoint>> rooms = rooms(set);
        boolean within = !rooms.isEmpty()
                && standing.stream().allMatch(p -> rooms.stream().anyMatch(r -> Walls.contains(r, p.xM(), p.yM())));
        if (within) {
            return null;
        }
        double[] frame = frame(set);
        double least = Double.MAX_VALUE;
        double most = -Double.MAX_VALUE;
        double low = Double.MAX_VALUE;
        double high = -Double.MAX_VALUE;
        List<PlanPoint> all =
                new ArrayList<>(standing.stream().map(SpacePoint::onPlan).toList());
        set.walls().forEach(w -> all.addAll(w.points()));
        for (PlanPoint p : all) {
            double a = p.xM() * frame[0] + p.yM() * frame[1];
            double b = -p.xM() * frame[1] + p.yM() * frame[0];
            least = Math.min(least, a);
            most = Math.max(most, a);
            low = Math.min(low, b);
            high = Math.max(high, b);
        }
        return all.isEmpty() ? null : List.of(down(least), up(most), down(low), up(high));
    }

    private static double down(double m) {
        return Math.floor((m - AROUND_M) / STEP_M) * STEP_M;
    }

    private static double up(double m) {
        return Math.ceil((m + AROUND_M) / STEP_M) * STEP_M;
    }

    private void outside(List<Double> ground, double[] floor, List<List<PlanPoint>> covered) {
        double[] frame = frame(set);
        List<PlanPoint> outline = new ArrayList<>();
        for (int[] corner : new int[][] {{0, 2}, {1, 2}, {1, 3}, {0, 3}}) {
            double a = ground.get(corner[0]);
            double b = ground.get(corner[1]);
            outline.add(PlanPoint.of(a * frame[0] - b * frame[1], a * frame[1] + b * frame[0]));
        }
        List<List<PlanPoint>> without = new ArrayList<>(rooms);
        without.addAll(covered);
        add("ground", new Level(0, true, outline, without, frame, floor, false));
    }

    private boolean inARoom(double x, double y) {
        return rooms.stream().anyMatch(r -> Walls.contains(r, x, y));
    }

    private double top(Wall wall) {
        return wall.heightM() != null
                ? wall.heightM()
                : set.ceilingHeightM() != null ? set.ceilingHeightM() : OPEN_WALL_M;
    }

    private void wall(Wall wall, PlanPoint from, PlanPoint to, boolean outsideToo) {
        double length = from.distanceM(to);
        if (length == 0) {
            return;
        }
        double top = top(wall);
        double[] along = along(from, to);
        Direction right = new Direction(along[0], along[1], 0);
        Direction left = new Direction(-along[1], along[0], 0);
        PlanPoint middle = PlanPoint.of((from.xM() + to.xM()) / 2, (from.yM() + to.yM()) / 2);
        Panel panel = new Panel(middle.at(top / 2), left, right, Direction.UP, length, top);
        walls.add(new Sheet(panel, holes(panel, true), new double[ConeLight.CHANNELS], List.of()));
        openWalls.add(new Sheet(panel, holes(panel, false), new double[ConeLight.CHANNELS], List.of()));
        double lit = Math.min(top, LIT_UP_TO_M);
        double[] sends = sent(wall.paint());
        for (int side = -1; side <= 1; side += 2) {
            Direction normal = side > 0 ? left : left.opposite();
            boolean enclosed = inARoom(middle.xM() + normal.x() * ASIDE_M, middle.yM() + normal.y() * ASIDE_M);
            if (enclosed || outsideToo || rooms.isEmpty()) {
                Panel face = new Panel(middle.at(lit / 2), normal, right, Direction.UP, length, lit);
                add("wall", new Face(face, holes(face, true), sends, enclosed));
            }
        }
    }

    private List<Sheet.Hole> holes(Panel panel, boolean glass) {
        List<Sheet.Hole> holes = new ArrayList<>();
        for (SetPlan.Opening opening : set.openings()) {
            double a = across(panel, opening.from());
            double b = across(panel, opening.to());
            double half = panel.widthM() / 2;
            boolean here = off(panel, opening.from()) <= IN_THE_WALL_M && off(panel, opening.to()) <= IN_THE_WALL_M;
            if (opening.letsLightThrough() && here && Math.min(a, b) < half && Math.max(a, b) > -half) {
                double middle = panel.middle().zM();
                boolean pane = glass && opening.kind() == SetPlan.OpeningKind.WINDOW;
                holes.add(new Sheet.Hole(
                        Math.max(-half, Math.min(a, b)),
                        Math.min(half, Math.max(a, b)),
                        opening.sillM() - middle,
                        opening.headM() - middle,
                        pane ? Math.pow(2, -PANE) : 1));
            }
        }
        return holes;
    }

    private static double across(Panel panel, PlanPoint p) {
        return (p.xM() - panel.middle().xM()) * panel.right().x()
                + (p.yM() - panel.middle().yM()) * panel.right().y();
    }

    private static double off(Panel panel, PlanPoint p) {
        return Math.abs((p.xM() - panel.middle().xM()) * panel.normal().x()
                + (p.yM() - panel.middle().yM()) * panel.normal().y());
    }

    private void furniture(SetPlan.Furniture piece) {
        List<PlanPoint> outline = piece.outline();
        if (piece.heightM() <= 0) {
            return;
        }
        double[] sends = sent(piece.paint());
        int n = outline.size();
        double twice = 0;
        for (int i = 0; i < n; i++) {
            PlanPoint a = outline.get(i);
            PlanPoint b = outline.get((i + 1) % n);
            twice += a.xM() * b.yM() - b.xM() * a.yM();
        }
        for (int i = 0; i < n; i++) {
            PlanPoint a = outline.get(i);
            PlanPoint b = outline.get((i + 1) % n);
            double length = a.distanceM(b);
            if (length > 0) {
                double[] along = along(a, b);
                double out = twice > 0 ? 1 : -1;
                Direction normal = new Direction(out * along[1], -out * along[0], 0);
                Panel side = new Panel(
                        new SpacePoint((a.xM() + b.xM()) / 2, (a.yM() + b.yM()) / 2, piece.heightM() / 2),
                        normal,
                        new Direction(along[0], along[1], 0),
                        Direction.UP,
                        length,
                        piece.heightM());
                walls.add(Sheet.opaque(side));
                openWalls.add(Sheet.opaque(side));
                add(
                        piece.name(),
                        new Face(
                                side,
                                List.of(),
                                sends,
                                inARoom(side.middle().xM(), side.middle().yM())));
            }
        }
        boolean enclosed = inARoom(outline.get(0).xM(), outline.get(0).yM());
        add(
                piece.name(),
                new Level(
                        piece.heightM(),
                        true,
                        outline,
                        List.of(),
                        along(outline.get(0), outline.get(1)),
                        sends,
                        enclosed));
        tops.add(new Hall.Top(piece.heightM(), List.of(outline)));
    }

    /** An opening, and where a way goes through it. */
    record Passed(SetPlan.Opening opening, SpacePoint at) {}

    /** The last opening that a way goes through, or empty. */
    Optional<Passed> passed(SpacePoint from, SpacePoint to) {
        double farthest = 0;
        Optional<Passed> last = Optional.empty();
        for (SetPlan.Opening opening : set.openings()) {
            double wide = opening.widthM();
            if (wide == 0) {
                continue;
            }
            double[] along = along(opening.from(), opening.to());
            double before = -along[1] * (from.xM() - opening.from().xM())
                    + along[0] * (from.yM() - opening.from().yM());
            double after = -along[1] * (to.xM() - opening.from().xM())
                    + along[0] * (to.yM() - opening.from().yM());
            double part = before / (before - after);
            if (!(part > farthest && part < 1) || !opening.letsLightThrough()) {
                continue;
            }
            SpacePoint at = new SpacePoint(
                    from.xM() + part * (to.xM() - from.xM()),
                    from.yM() + part * (to.yM() - from.yM()),
                    from.zM() + part * (to.zM() - from.zM()));
            double across = along[0] * (at.xM() - opening.from().xM())
                    + along[1] * (at.yM() - opening.from().yM());
            if (across >= 0 && across <= wide && at.zM() >= opening.sillM() && at.zM() <= opening.headM()) {
                farthest = part;
                last = Optional.of(new Passed(opening, at));
            }
        }
        return last;
    }

    /** The first surface behind a face on the way from the lens; openings are looked through. Null when there is none. */
    @Nullable
    Behind behind(SpacePoint lens, SpacePoint face) {
        if (lens.coincides(face)) {
            return null;
        }
        Direction way = Direction.between(lens, face);
        double best = SEEN_WITHIN_M;
        @Nullable Direction normal = null;
        for (Sheet wall : walls) {
            Panel panel = wall.panel();
            double off = panel.offPlane(face);
            double falling = way.dot(panel.normal());
            double metres = falling == 0 ? -1 : -off / falling;
            if (metres > 1e-6 && metres < best && covers(wall, way.from(face, metres))) {
                best = metres;
                normal = falling < 0 ? panel.normal() : panel.normal().opposite();
            }
        }
        for (Level level : levels) {
            double metres = way.z() == 0 ? -1 : (level.heightM() - face.zM()) / way.z();
            if (metres > 1e-6 && metres < best) {
                SpacePoint at = way.from(face, metres);
                if (Walls.contains(level.outline(), at.xM(), at.yM())) {
                    best = metres;
                    normal = way.z() < 0 ? Direction.UP : Direction.DOWN;
                }
            }
        }
        double toGround = way.z() < 0 ? face.zM() / -way.z() : -1;
        if (toGround > 1e-6 && toGround < best) {
            best = toGround;
            normal = Direction.UP;
        }
        return normal == null ? null : new Behind(way.from(face, best), normal);
    }

    private static boolean covers(Sheet wall, SpacePoint at) {
        Panel panel = wall.panel();
        double x = (at.xM() - panel.middle().xM()) * panel.right().x()
                + (at.yM() - panel.middle().yM()) * panel.right().y();
        double y = at.zM() - panel.middle().zM();
        return Math.abs(x) <= panel.widthM() / 2
                && Math.abs(y) <= panel.heightM() / 2
                && wall.holes().stream()
                        .noneMatch(h -> x > h.fromM() && x < h.toM() && y > h.bottomM() && y < h.topM());
    }
}
