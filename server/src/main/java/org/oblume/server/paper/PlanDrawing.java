package org.oblume.server.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Wall;
import org.oblume.server.paper.Pen.At;
import org.oblume.server.paper.Pen.Face;
import org.oblume.server.paper.Pen.Stroke;

/** The plan of a shot in the interface's own marks, black on white, to a named scale. */
final class PlanDrawing {

    private static final double PT_PER_M = 72 / 0.0254;
    private static final int[] SCALES = {10, 20, 25, 50, 75, 100, 150, 200, 250, 500, 1000};
    private static final double MARGIN_M = 0.6;
    private static final double NAME_PT = 7;
    private static final double SMALL_PT = 6;
    private final SceneRecord scene;
    private final ShotState state;
    private final double left;
    private final double top;
    private final double right;
    private final double bottom;

    PlanDrawing(SceneRecord scene, ShotState state) {
        this.scene = scene;
        this.state = state;
        SetPlan set = scene.set();
        List<PlanPoint> all = Stream.of(
                        set.walls().stream().flatMap(w -> w.points().stream()),
                        standing().map(p -> place(p).point()),
                        set.landmarks().stream().map(Landmark::point))
                .flatMap(s -> s)
                .toList();
        left = all.stream().mapToDouble(PlanPoint::xM).min().orElse(0) - MARGIN_M;
        right = all.stream().mapToDouble(PlanPoint::xM).max().orElse(1) + MARGIN_M;
        bottom = all.stream().mapToDouble(PlanPoint::yM).min().orElse(0) - MARGIN_M;
        top = all.stream().mapToDouble(PlanPoint::yM).max().orElse(1) + MARGIN_M;
    }

    private Stream<Placement> standing() {
        return scene.placements().stream()
                .filter(p -> state.isOnSet(p.key())
                        && state.value(p.key(), Place.class).isPresent());
    }

    private Place place(Placement placement) {
        return state.value(placement.key(), Place.class).orElseThrow();
    }

    /** The largest of the usual scales that fits: 25 means 1 : 25. */
    int scaleFor(double widthPt, double heightPt) {
        for (int scale : SCALES) {
            if ((right - left) * PT_PER_M / scale <= widthPt && (top - bottom) * PT_PER_M / scale <= heightPt) {
                return scale;
            }
        }
        return SCALES[SCALES.length - 1];
    }

    double widthPt(int scale) {
        return (right - left) * PT_PER_M / scale;
    }

    double heightPt(int scale) {
        return (top - bottom) * PT_PER_M / scale;
    }

    /** Draws with its upper left corner at a place of the page. */
    void draw(Pen pen, At corner, int scale) {
        new Drawn(pen, corner, scale).all();
    }

    /** The drawing of one scale at one place, with the names that are on it already. */
    private final class Drawn {

        private final Pen pen;
        private final At corner;
        private final double perM;
        private final List<double[]> taken = new ArrayList<>();

        Drawn(Pen pen, At corner, int scale) {
            this.pen = pen;
            this.corner = corner;
            this.perM = PT_PER_M / scale;
        }

        private At at(double xM, double yM) {
            return corner.plus((xM - left) * perM, (top - yM) * perM);
        }

        private At at(PlanPoint point) {
            return at(point.xM(), point.yM());
        }

        void all() {
            SetPlan set = scene.set();
            set.furniture()
                    .forEach(f -> pen.shape(f.outline().stream().map(this::at).toList(), true, Stroke.HAIR, 0.93));
            standing().filter(p -> p.kind().isLight()).forEach(this::throwOf);
            for (Wall wall : set.walls()) {
                pen.shape(wall.points().stream().map(this::at).toList(), false, Stroke.WALL, null);
            }
            set.openings().forEach(o -> opening(at(o.from()), at(o.to())));
            set.furniture().forEach(f -> name(middle(f.outline()), f.name(), Face.TEXT, SMALL_PT));
            set.landmarks().forEach(this::landmark);
            standing().forEach(this::mark);
            standing().forEach(p -> keepClear(at(place(p).point()), Math.min(half(p), 8)));
            set.landmarks().forEach(l -> keepClear(at(l.point()), 3));
            standing().forEach(p -> name(at(place(p).point()), p.name(), Face.BOLD, NAME_PT));
            set.landmarks().forEach(l -> name(at(l.point()), l.name(), Face.TEXT, SMALL_PT));
        }

        /** A gap in the wall with a thin line on either side of it. */
        private void opening(At from, At to) {
            double length = Math.hypot(to.x() - from.x(), to.y() - from.y());
            double dx = -(to.y() - from.y()) / length * 1.6;
            double dy = (to.x() - from.x()) / length * 1.6;
            pen.shape(
                    List.of(from.plus(dx, dy), to.plus(dx, dy), to.plus(-dx, -dy), from.plus(-dx, -dy)),
                    true,
                    null,
                    1.0);
            pen.line(from.plus(dx, dy), to.plus(dx, dy), Stroke.HAIR);
            pen.line(from.plus(-dx, -dy), to.plus(-dx, -dy), Stroke.HAIR);
        }

        private At middle(List<PlanPoint> outline) {
            return at(
                            outline.stream()
                                    .mapToDouble(PlanPoint::xM)
                                    .average()
                                    .orElse(0),
                            outline.stream()
                                    .mapToDouble(PlanPoint::yM)
                                    .average()
                                    .orElse(0))
                    .plus(-9, 2);
        }

        private void landmark(Landmark landmark) {
            At at = at(landmark.point());
            pen.shape(square(at, 2.4), true, Stroke.THIN, 1.0);
            pen.line(at.plus(-2.4, 2.4), at.plus(2.4, -2.4), Stroke.THIN);
        }

        private List<At> square(At at, double half) {
            return List.of(at.plus(-half, -half), at.plus(half, -half), at.plus(half, half), at.plus(-half, half));
        }

        private double bearing(Placement placement) {
            return state.aim(placement.key()).map(a -> a.bearing().degrees()).orElse(0.0);
        }

        /** A point beside a thing: so far along its aim, and so far to the right of it, points. */
        private At beside(At at, double bearingDeg, double along, double across) {
            double turn = Math.toRadians(bearingDeg);
            return at.plus(
                    Math.sin(turn) * along + Math.cos(turn) * across,
                    -Math.cos(turn) * along + Math.sin(turn) * across);
        }

        private List<At> turned(At at, double bearingDeg, double[]... alongAcross) {
            return Stream.of(alongAcross)
                    .map(p -> beside(at, bearingDeg, p[0], p[1]))
                    .toList();
        }

        /** A wedge from both ends of the emitter: whole lines when hard, broken when it leaves something that softens. */
        private void throwOf(Placement light) {
            if (state.value(light.key(), SetStatus.class)
                            .map(s -> s.state() == SetStatus.State.OFF)
                            .orElse(false)
                    || light.kind() == PlacementKind.PRACTICAL) {
                return;
            }
            At at = at(place(light).point());
            double half = half(light);
            double beam = Math.min(
                            100,
                            state.value(light.key(), Beam.class)
                                    .map(Beam::beamDeg)
                                    .orElse(40.0))
                    / 2;
            boolean soft = state.value(light.key(), Modifiers.class)
                    .map(Modifiers::soften)
                    .orElse(false);
            double reach = 1.1 * perM;
            double wide = half + reach * Math.tan(Math.toRadians(Math.min(beam, 50)));
            Stroke edge = soft ? new Stroke(0.5, 1.2, 1.8) : new Stroke(0.6);
            for (int side : new int[] {-1, 1}) {
                pen.line(
                        beside(at, bearing(light), 0, side * half),
                        beside(at, bearing(light), reach, side * wide),
                        edge);
            }
        }

        private double half(Placement placement) {
            return Math.max(4.5, placement.piece().widthM() * perM / 2);
        }

        private void mark(Placement placement) {
            At at = at(place(placement).point());
            double bearing = bearing(placement);
            switch (placement.kind()) {
                case MARK -> person(at, bearing);
                case CAMERA -> camera(placement, at, bearing);
                case HEAD, PRACTICAL, DAYLIGHT -> oblong(placement, at, bearing);
                case FLAG, CURTAIN -> pen.shape(bar(at, bearing, half(placement), 1.6), true, Stroke.HAIR, 0.0);
                case NET, PATTERN -> {
                    pen.line(
                            beside(at, bearing, 0, -half(placement)),
                            beside(at, bearing, 0, half(placement)),
                            Stroke.THIN);
                    ticks(at, bearing, half(placement), 4, -1.6, 1.6);
                }
                case FRAME -> {
                    pen.shape(bar(at, bearing, half(placement), 1.8), true, Stroke.THIN, 1.0);
                    ticks(at, bearing, half(placement), 4, -1.8, 1.8);
                }
                case BOUNCE, MIRROR -> {
                    pen.shape(
                            bar(at, bearing, half(placement), 1.2),
                            true,
                            Stroke.THIN,
                            placement.kind() == PlacementKind.MIRROR ? 0.6 : 1.0);
                    ticks(at, bearing, half(placement), 6, 1.2, 3.6);
                }
                case CONDITION, CUE -> {
                    // stands nowhere
                }
            }
        }

        private List<At> bar(At at, double bearing, double half, double thick) {
            return turned(
                    at,
                    bearing,
                    new double[] {-thick, -half},
                    new double[] {-thick, half},
                    new double[] {thick, half},
                    new double[] {thick, -half});
        }

        private void ticks(At at, double bearing, double half, double each, double from, double to) {
            for (double across = -half; across <= half; across += each) {
                pen.line(beside(at, bearing, from, across), beside(at, bearing, to, across), Stroke.HAIR);
            }
        }

        private void person(At at, double bearing) {
            pen.shape(
                    turned(at, bearing, new double[] {4.5, -2}, new double[] {8, 0}, new double[] {4.5, 2}),
                    true,
                    Stroke.HAIR,
                    0.0);
            pen.circle(at, 5, Stroke.SOLID, 1.0);
        }

        private void camera(Placement camera, At at, double bearing) {
            double view = state.value(camera.key(), Lens.class)
                            .map(l -> l.viewDeg(camera.piece().widthM()))
                            .orElse(40.0)
                    / 2;
            for (int side : new int[] {-1, 1}) {
                pen.line(at, beside(at, bearing + side * view, 1.6 * perM, 0), new Stroke(0.5, 5, 3));
            }
            pen.shape(
                    turned(at, bearing, new double[] {0, 0}, new double[] {-5, -4}, new double[] {-5, 4}),
                    true,
                    Stroke.THIN,
                    1.0);
            pen.shape(
                    turned(
                            at,
                            bearing,
                            new double[] {-5, -4},
                            new double[] {-12, -4},
                            new double[] {-12, 4},
                            new double[] {-5, 4}),
                    true,
                    Stroke.THIN,
                    1.0);
        }

        /** An oblong across its aim; the bolder part of its outline runs from the middle of its back, as far as the level. */
        private void oblong(Placement light, At at, double bearing) {
            double half = half(light);
            double deep = 2.6;
            List<At> outline = turned(
                    at,
                    bearing,
                    new double[] {-deep, 0},
                    new double[] {-deep, -half},
                    new double[] {deep, -half},
                    new double[] {deep, half},
                    new double[] {-deep, half},
                    new double[] {-deep, 0});
            pen.shape(outline, true, Stroke.HAIR, 1.0);
            double level =
                    state.value(light.key(), Level.class).map(Level::percent).orElse(0.0) / 100;
            boolean off = state.value(light.key(), SetStatus.class)
                    .map(s -> s.state() == SetStatus.State.OFF)
                    .orElse(false);
            List<At> part = part(outline, off ? 0 : level);
            if (part.size() > 1) {
                pen.shape(part, false, new Stroke(1.8), null);
            }
        }

        private static List<At> part(List<At> way, double fraction) {
            double all = 0;
            for (int i = 1; i < way.size(); i++) {
                all += Math.hypot(
                        way.get(i).x() - way.get(i - 1).x(),
                        way.get(i).y() - way.get(i - 1).y());
            }
            double rest = all * Math.min(1, fraction);
            List<At> part = new ArrayList<>(List.of(way.get(0)));
            for (int i = 1; i < way.size() && rest > 0; i++) {
                At from = way.get(i - 1);
                At to = way.get(i);
                double step = Math.hypot(to.x() - from.x(), to.y() - from.y());
                double of = step == 0 ? 1 : Math.min(1, rest / step);
                part.add(from.plus((to.x() - from.x()) * of, (to.y() - from.y()) * of));
                rest -= step;
            }
            return part;
        }

        private void keepClear(At at, double half) {
            taken.add(new double[] {at.x() - half, at.y() - half, at.x() + half, at.y() + half});
        }

        /** Writes a name where it covers no other: to the right, the left, above or below. */
        private void name(At at, String name, Face face, double size) {
            double wide = pen.width(name, face, size);
            double[][] tries = {
                {8, 2.2},
                {-8 - wide, 2.2},
                {-wide / 2, -8},
                {-wide / 2, 8 + size},
                {8, -6},
                {8, 10},
                {-8 - wide, -6},
                {-8 - wide, 10}
            };
            List<double[]> boxes = Stream.of(tries)
                    .map(t ->
                            new double[] {at.x() + t[0], at.y() + t[1] - size, at.x() + t[0] + wide, at.y() + t[1] + 1})
                    .toList();
            double[] best = boxes.stream()
                    .filter(b ->
                            taken.stream().noneMatch(t -> t[0] < b[2] && b[0] < t[2] && t[1] < b[3] && b[1] < t[3]))
                    .findFirst()
                    .orElse(boxes.get(0));
            taken.add(best);
            pen.shape(
                    List.of(
                            new At(best[0] - 1, best[1]),
                            new At(best[2] + 1, best[1]),
                            new At(best[2] + 1, best[3] + 1),
                            new At(best[0] - 1, best[3] + 1)),
                    true,
                    null,
                    1.0);
            pen.text(new At(best[0], best[3] - 1), name, face, size);
        }
    }

    /** A bar of whole metres with its ends named, and the scale in words. */
    static void scaleBar(Pen pen, At at, int scale) {
        double metre = PT_PER_M / scale;
        int metres = metre > 90 ? 1 : metre > 30 ? 2 : metre > 12 ? 5 : 10;
        for (int i = 0; i < metres; i++) {
            pen.shape(
                    List.of(
                            at.plus(i * metre, 0),
                            at.plus((i + 1) * metre, 0),
                            at.plus((i + 1) * metre, 3),
                            at.plus(i * metre, 3)),
                    true,
                    Stroke.HAIR,
                    i % 2 == 0 ? 0.0 : 1.0);
        }
        pen.text(at.plus(0, 11), "0", Face.FIGURES, SMALL_PT);
        pen.text(at.plus(metres * metre - 6, 11), "%d m".formatted(metres), Face.FIGURES, SMALL_PT);
        pen.text(
                at.plus(metres * metre + 10, 4),
                "Scale 1 : %d when printed at full size".formatted(scale),
                Face.TEXT,
                NAME_PT);
    }
}
