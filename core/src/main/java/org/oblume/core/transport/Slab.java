package org.oblume.core.transport;

import java.util.List;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Walls;

/**
 * A level area that nothing comes through: a ceiling, the top of a table.
 *
 * @param heightM metres
 * @param outlines corners of each piece, in order; the last need not be the first
 */
record Slab(double heightM, List<List<PlanPoint>> outlines) implements Obstacle {

    private static final double ON_IT_M = 1e-5;

    /** What part of a bundle of rays meets it, 0 to 1; its radius is {@code ra} where it starts and {@code rb} where it ends. */
    double stops(double ax, double ay, double az, double bx, double by, double bz, double ra, double rb) {
        double before = az - heightM;
        double after = bz - heightM;
        if (before * after >= 0 || Math.abs(before) < ON_IT_M || Math.abs(after) < ON_IT_M) {
            return 0;
        }
        double part = before / (before - after);
        double x = ax + part * (bx - ax);
        double y = ay + part * (by - ay);
        double radius = ra + part * (rb - ra);
        double covered = 0;
        for (List<PlanPoint> outline : outlines) {
            covered = Math.max(covered, covered(outline, x, y, radius));
        }
        return covered;
    }

    private static double covered(List<PlanPoint> outline, double x, double y, double radius) {
        boolean in = Walls.contains(outline, x, y);
        if (radius <= 0) {
            return in ? 1 : 0;
        }
        double edge = Double.MAX_VALUE;
        int n = outline.size();
        for (int i = 0; i < n; i++) {
            edge = Math.min(edge, toSegment(outline.get(i), outline.get((i + 1) % n), x, y));
        }
        double signed = in ? edge : -edge;
        return Math.max(0, Math.min(1, 0.5 + signed / (2 * radius)));
    }

    private static double toSegment(PlanPoint a, PlanPoint b, double x, double y) {
        double dx = b.xM() - a.xM();
        double dy = b.yM() - a.yM();
        double squared = dx * dx + dy * dy;
        double along = squared == 0 ? 0 : Math.max(0, Math.min(1, ((x - a.xM()) * dx + (y - a.yM()) * dy) / squared));
        return Math.hypot(x - a.xM() - along * dx, y - a.yM() - along * dy);
    }

    @Override
    public void filter(double covered, double[] light) {
        for (int c = 0; c < ConeLight.CHANNELS; c++) {
            light[c] *= 1 - covered;
        }
    }
}
