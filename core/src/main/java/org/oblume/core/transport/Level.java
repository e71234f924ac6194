package org.oblume.core.transport;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.Panel;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;

/**
 * A level area that sends light on evenly: a floor, a ceiling from below or from above, the top of a table.
 *
 * @param heightM metres
 * @param up whether it looks up
 * @param outline corners in order
 * @param without pieces of it that are covered
 * @param along direction on the plan that it is divided along
 * @param sends of what it gets, part of each channel
 * @param enclosed whether it is of a closed room
 */
public record Level(
        double heightM,
        boolean up,
        List<PlanPoint> outline,
        List<List<PlanPoint>> without,
        double[] along,
        double[] sends,
        boolean enclosed) {

    /** Less of a patch than this is left out. */
    private static final double LEAST_PART = 0.01;

    void into(Patches patches, double size) {
        double[][] shape = turned(outline);
        List<double[][]> holes = without.stream().map(this::turned).toList();
        double[] around = bounds(shape);
        int across = Math.max(1, (int) Math.ceil((around[1] - around[0]) / size - 1e-9));
        int deep = Math.max(1, (int) Math.ceil((around[3] - around[2]) / size - 1e-9));
        double width = (around[1] - around[0]) / across;
        double depth = (around[3] - around[2]) / deep;
        for (int i = 0; i < across; i++) {
            for (int j = 0; j < deep; j++) {
                cell(patches, shape, holes, around[0] + i * width, around[2] + j * depth, width, depth);
            }
        }
    }

    /** Least and most along the way that it is divided, and square to that. */
    private static double[] bounds(double[][] shape) {
        double[] around = {Double.MAX_VALUE, -Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE};
        for (double[] p : shape) {
            around[0] = Math.min(around[0], p[0]);
            around[1] = Math.max(around[1], p[0]);
            around[2] = Math.min(around[2], p[1]);
            around[3] = Math.max(around[3], p[1]);
        }
        return around;
    }

    /** How it is looked at. */
    public Skin skin() {
        double[] around = bounds(turned(outline));
        double a = (around[0] + around[1]) / 2;
        double b = (around[2] + around[3]) / 2;
        Panel panel = new Panel(
                new SpacePoint(a * along[0] - b * along[1], a * along[1] + b * along[0], heightM),
                up ? Direction.UP : Direction.DOWN,
                new Direction(along[0], along[1], 0),
                new Direction(-along[1], along[0], 0),
                around[1] - around[0],
                around[3] - around[2]);
        return new Skin(
                panel,
                List.of(),
                from(outline, a, b),
                without.stream().map(w -> from(w, a, b)).toList(),
                sends,
                1);
    }

    private List<PlanPoint> from(List<PlanPoint> corners, double a, double b) {
        return Arrays.stream(turned(corners))
                .map(p -> PlanPoint.of(p[0] - a, p[1] - b))
                .toList();
    }

    /** Along the way that it is divided, and square to that. */
    private double[][] turned(List<PlanPoint> points) {
        return points.stream()
                .map(p -> new double[] {p.xM() * along[0] + p.yM() * along[1], -p.xM() * along[1] + p.yM() * along[0]})
                .toArray(double[][]::new);
    }

    private void cell(
            Patches patches,
            double[][] shape,
            List<double[][]> holes,
            double from,
            double below,
            double width,
            double depth) {
        double[] moments = moments(cut(shape, from, below, width, depth));
        for (double[][] hole : holes) {
            double[] less = moments(cut(hole, from, below, width, depth));
            for (int i = 0; i < moments.length; i++) {
                moments[i] -= less[i];
            }
        }
        double part = moments[0] / (width * depth);
        if (!(part > LEAST_PART)) {
            return;
        }
        double a = moments[1] / moments[0];
        double b = moments[2] / moments[0];
        double shrunk = Math.sqrt(part) / 2;
        patches.add(
                new double[] {a * along[0] - b * along[1], a * along[1] + b * along[0], heightM},
                new double[] {0, 0, up ? 1 : -1},
                1,
                moments[0],
                new double[] {along[0] * width * shrunk, along[1] * width * shrunk, 0},
                new double[] {-along[1] * depth * shrunk, along[0] * depth * shrunk, 0},
                sends,
                Patches.OF_THE_SET,
                enclosed);
    }

    /** What of an outline lies in a rectangle (Sutherland and Hodgman, 1974). */
    private static List<double[]> cut(double[][] outline, double from, double below, double width, double depth) {
        List<double[]> left = List.of(outline);
        left = cut(left, 0, from, 1);
        left = cut(left, 0, from + width, -1);
        left = cut(left, 1, below, 1);
        return cut(left, 1, below + depth, -1);
    }

    /** What lies on one side of a line: where {@code sign} times a coordinate is at least that times the limit. */
    private static List<double[]> cut(List<double[]> outline, int coordinate, double limit, int sign) {
        List<double[]> left = new ArrayList<>();
        for (int i = 0; i < outline.size(); i++) {
            double[] p = outline.get(i);
            double[] next = outline.get((i + 1) % outline.size());
            double here = sign * (p[coordinate] - limit);
            double there = sign * (next[coordinate] - limit);
            if (here >= 0) {
                left.add(p);
            }
            if (here * there < 0) {
                double part = here / (here - there);
                left.add(new double[] {p[0] + part * (next[0] - p[0]), p[1] + part * (next[1] - p[1])});
            }
        }
        return left;
    }

    /** Area, and area times the middle along both axes; whichever way round the corners go. */
    private static double[] moments(List<double[]> outline) {
        double area = 0;
        double a = 0;
        double b = 0;
        for (int i = 0; i < outline.size(); i++) {
            double[] p = outline.get(i);
            double[] next = outline.get((i + 1) % outline.size());
            double twice = p[0] * next[1] - next[0] * p[1];
            area += twice / 2;
            a += twice * (p[0] + next[0]) / 6;
            b += twice * (p[1] + next[1]) / 6;
        }
        return area < 0 ? new double[] {-area, -a, -b} : new double[] {area, a, b};
    }
}
