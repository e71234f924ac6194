package org.oblume.core.photo;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import org.oblume.core.geometry.SpacePoint;

/** Where a photograph may have been taken from, to begin the search: rings around the landmarks at the heights of hands, turned towards them. */
final class PoseStarts {

    /** Of all starts, those that fit best. */
    static final int TRIED = 80;

    static final int FIRST_STEPS = 12;
    static final int LAST_STEPS = 200;
    static final int LOOKED_AT = 24;

    private static final double[] DISTANCES_M = {0.7, 1.5, 2.5, 4, 6, 9, 13, 19};
    private static final double[] HEIGHTS_M = {1.0, 1.5, 2.0};
    private static final int WAYS = 16;
    private static final double[] SIDES = {0.55, 0.85, 1.8};
    private static final double CELL_M = 0.25;

    private PoseStarts() {}

    static List<double[]> of(Frame frame, List<SeenLandmark> marks) {
        double x = marks.stream().mapToDouble(m -> m.at().xM()).average().orElseThrow();
        double y = marks.stream().mapToDouble(m -> m.at().yM()).average().orElseThrow();
        double[] focals = frame.f35() == null
                ? DoubleStream.of(SIDES).map(s -> s * frame.longerSidePx()).toArray()
                : new double[] {frame.focalPx()};
        SeenLandmark[] apart = apart(marks);
        List<double[]> starts = new ArrayList<>();
        for (double focal : focals) {
            for (double height : HEIGHTS_M) {
                for (double distance : DISTANCES_M) {
                    for (int way = 0; way < WAYS; way++) {
                        double turn = 2 * Math.PI * (way + (distance > 2 ? 0.5 : 0)) / WAYS;
                        starts.add(turned(
                                frame,
                                new double[] {x + distance * Math.sin(turn), y + distance * Math.cos(turn), height},
                                focal,
                                apart));
                    }
                }
            }
        }
        return starts;
    }

    /** Two that were tapped far apart. */
    private static SeenLandmark[] apart(List<SeenLandmark> marks) {
        SeenLandmark[] best = {marks.get(0), marks.get(1)};
        double most = -1;
        for (SeenLandmark one : marks) {
            for (SeenLandmark other : marks) {
                double far = Math.hypot(
                        one.tap().u() - other.tap().u(),
                        one.tap().v() - other.tap().v());
                if (far > most) {
                    most = far;
                    best = new SeenLandmark[] {one, other};
                }
            }
        }
        return best;
    }

    /** Turned so that these two are seen where they were tapped, as nearly as may be from there. */
    private static double[] turned(Frame frame, double[] at, double focal, SeenLandmark[] apart) {
        double[][] set = frameOf(to(at, apart[0].at()), to(at, apart[1].at()));
        double[][] picture = frameOf(seen(frame, focal, apart[0].tap()), seen(frame, focal, apart[1].tap()));
        double[][] axes = new double[Pinhole.SPACE][Pinhole.SPACE];
        for (int axis = 0; axis < Pinhole.SPACE; axis++) {
            for (int k = 0; k < Pinhole.SPACE; k++) {
                for (int row = 0; row < Pinhole.SPACE; row++) {
                    axes[axis][k] += picture[row][axis] * set[row][k];
                }
            }
        }
        double[] held = Pinhole.held(axes[0], axes[2]);
        return new double[] {at[0], at[1], at[2], held[0], held[1], held[2], Math.log(focal)};
    }

    private static double[] to(double[] at, SpacePoint point) {
        return unit(new double[] {point.xM() - at[0], point.yM() - at[1], point.zM() - at[2]});
    }

    /** As the camera sees it: right, down, along its axis. */
    private static double[] seen(Frame frame, double focal, Tap tap) {
        return unit(new double[] {(tap.u() - frame.middleU()) / focal, (tap.v() - frame.middleV()) / focal, 1});
    }

    private static double[][] frameOf(double[] one, double[] other) {
        double[] middle = unit(new double[] {one[0] + other[0], one[1] + other[1], one[2] + other[2]});
        double[] across = unit(cross(one, other));
        return new double[][] {middle, across, cross(middle, across)};
    }

    private static double[] cross(double[] a, double[] b) {
        return new double[] {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
    }

    private static double[] unit(double[] of) {
        double length = Math.sqrt(of[0] * of[0] + of[1] * of[1] + of[2] * of[2]);
        return length > 0 ? new double[] {of[0] / length, of[1] / length, of[2] / length} : new double[] {0, 0, 1};
    }

    /** Those that have come to nearly one place, held alike, are one. */
    static List<Long> cell(double[] at) {
        return List.of(
                Math.round(at[Pinhole.X] / CELL_M),
                Math.round(at[Pinhole.Y] / CELL_M),
                Math.round(at[Pinhole.Z] / CELL_M));
    }
}
