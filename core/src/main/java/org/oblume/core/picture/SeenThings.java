package org.oblume.core.picture;

import java.util.List;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.Glow;
import org.oblume.core.light.LitSet;
import org.oblume.core.transport.Skin;

/**
 * All that a ray can meet, laid out to be gone through quickly. What is met has a number: surfaces first, then the facets of one bust after
 * the other, then what gives light.
 */
final class SeenThings {

    static final int NOTHING = -1;

    private static final int EACH = 14;
    private static final int TRIANGLE = 9;
    private static final double NEAREST_M = 0.01;
    /** No part of a bust is farther from the middle of its face, metres. */
    private static final double BUST_M = 0.42;
    /** Triangles that lie together, and are passed by together: four facets. */
    private static final int TOGETHER = 8;

    private static final int BALL = 4;

    private final List<Skin> skins;
    private final double[] planes;
    private final int facets;
    private final SpacePoint[] faces;
    /** By bust: corner, and two edges, of two triangles for each facet. */
    private final double[][] triangles;
    /** By bust: middle of a ball around triangles that lie together, and its radius squared. */
    private final double[][] balls;

    private final List<Glow> glows;
    private final double dot;

    /**
     * @param glows those that may be met
     * @param dot half of the angle of one, radians
     */
    SeenThings(LitSet set, List<Glow> glows, double dot) {
        this.dot = dot;
        this.skins = set.skins();
        this.planes = new double[EACH * skins.size()];
        for (int i = 0; i < skins.size(); i++) {
            skins.get(i).panel().into(planes, EACH * i);
        }
        this.faces = set.busts().stream().map(b -> b.face()).toArray(SpacePoint[]::new);
        this.triangles =
                set.busts().stream().map(b -> triangles(LitSet.facets(b))).toArray(double[][]::new);
        this.balls = new double[triangles.length][];
        for (int b = 0; b < balls.length; b++) {
            balls[b] = balls(triangles[b]);
        }
        this.facets = triangles.length == 0 ? 0 : triangles[0].length / (2 * TRIANGLE);
        this.glows = List.copyOf(glows);
    }

    private static double[] triangles(SpacePoint[][] facets) {
        double[] all = new double[facets.length * 2 * TRIANGLE];
        for (int f = 0; f < facets.length; f++) {
            SpacePoint[] c = facets[f];
            triangle(all, 2 * f, c[0], c[1], c[2]);
            triangle(all, 2 * f + 1, c[0], c[2], c[3]);
        }
        return all;
    }

    private static double[] balls(double[] triangles) {
        int each = TOGETHER * TRIANGLE;
        double[] all = new double[triangles.length / each * BALL];
        for (int g = 0; g * BALL < all.length; g++) {
            double[] least = {Double.MAX_VALUE, Double.MAX_VALUE, Double.MAX_VALUE};
            double[] most = {-Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
            for (int k = g * each; k < (g + 1) * each; k += TRIANGLE) {
                for (int axis = 0; axis < 3; axis++) {
                    double corner = triangles[k + axis];
                    for (int edge = 0; edge <= 6; edge += 3) {
                        double at = edge == 0 ? corner : corner + triangles[k + edge + axis];
                        least[axis] = Math.min(least[axis], at);
                        most[axis] = Math.max(most[axis], at);
                    }
                }
            }
            double squared = 0;
            for (int axis = 0; axis < 3; axis++) {
                all[g * BALL + axis] = (least[axis] + most[axis]) / 2;
                squared += (most[axis] - least[axis]) * (most[axis] - least[axis]) / 4;
            }
            all[g * BALL + 3] = squared;
        }
        return all;
    }

    private static void triangle(double[] all, int number, SpacePoint a, SpacePoint b, SpacePoint c) {
        int k = TRIANGLE * number;
        double[] figures = {
            a.xM(),
            a.yM(),
            a.zM(),
            b.xM() - a.xM(),
            b.yM() - a.yM(),
            b.zM() - a.zM(),
            c.xM() - a.xM(),
            c.yM() - a.yM(),
            c.zM() - a.zM()
        };
        System.arraycopy(figures, 0, all, k, TRIANGLE);
    }

    int skins() {
        return skins.size();
    }

    boolean isFacet(int what) {
        return what >= skins.size() && what < skins.size() + faces.length * facets;
    }

    int bust(int what) {
        return (what - skins.size()) / facets;
    }

    int facet(int what) {
        return (what - skins.size()) % facets;
    }

    int glow(int what) {
        return what - skins.size() - faces.length * facets;
    }

    /** Number of the surface that something is a part of: all of a bust is one; nothing is none. */
    int surface(int what) {
        if (what < skins.size()) {
            return what;
        }
        return isFacet(what) ? skins.size() + bust(what) : skins.size() + faces.length + glow(what);
    }

    /**
     * What a ray meets first.
     *
     * @param way of length 1
     * @param metres where, is filled
     */
    int first(SpacePoint from, double[] way, double[] metres) {
        int what = NOTHING;
        metres[0] = Double.MAX_VALUE;
        for (int i = 0, k = 0; i < skins.size(); i++, k += EACH) {
            double falling = planes[k] * way[0] + planes[k + 1] * way[1] + planes[k + 2] * way[2];
            if (falling >= 0) {
                continue;
            }
            double off = planes[k] * from.xM() + planes[k + 1] * from.yM() + planes[k + 2] * from.zM() - planes[k + 3];
            double t = -off / falling;
            if (t < NEAREST_M || t >= metres[0]) {
                continue;
            }
            double across = along(from, way, t, k + 4);
            if (Math.abs(across) > planes[k + 12]) {
                continue;
            }
            double up = along(from, way, t, k + 8);
            if (Math.abs(up) <= planes[k + 13] && skins.get(i).has(across, up)) {
                metres[0] = t;
                what = i;
            }
        }
        for (int b = 0; b < faces.length; b++) {
            SpacePoint face = faces[b];
            if (passes(face.xM(), face.yM(), face.zM(), BUST_M * BUST_M, from, way)) {
                int facet = facet(triangles[b], balls[b], from, way, metres);
                what = facet == NOTHING ? what : skins.size() + b * facets + facet;
            }
        }
        Direction direction = null;
        for (int g = 0; g < glows.size(); g++) {
            direction = direction == null ? new Direction(way[0], way[1], way[2]) : direction;
            double t = glows.get(g).metres(from, direction, dot);
            if (t >= NEAREST_M && t < metres[0]) {
                metres[0] = t;
                what = skins.size() + faces.length * facets + g;
            }
        }
        return what;
    }

    private double along(SpacePoint from, double[] way, double t, int axis) {
        return planes[axis] * (from.xM() + t * way[0])
                + planes[axis + 1] * (from.yM() + t * way[1])
                + planes[axis + 2] * (from.zM() + t * way[2])
                - planes[axis + 3];
    }

    /** Where a place on a surface is, to the right of its panel's middle and above it. */
    double across(int skin, double x, double y, double z) {
        int k = EACH * skin + 4;
        return planes[k] * x + planes[k + 1] * y + planes[k + 2] * z - planes[k + 3];
    }

    double up(int skin, double x, double y, double z) {
        int k = EACH * skin + 8;
        return planes[k] * x + planes[k + 1] * y + planes[k + 2] * z - planes[k + 3];
    }

    /** Whether a ray goes through a ball. */
    private static boolean passes(double bx, double by, double bz, double squared, SpacePoint from, double[] way) {
        double x = bx - from.xM();
        double y = by - from.yM();
        double z = bz - from.zM();
        double along = x * way[0] + y * way[1] + z * way[2];
        double away = x * x + y * y + z * z;
        return (along > 0 || away < squared) && away - along * along < squared;
    }

    /** The facet of a bust that is met first, from outside (Möller and Trumbore, 1997). */
    private static int facet(double[] all, double[] balls, SpacePoint from, double[] way, double[] metres) {
        int facet = NOTHING;
        for (int g = 0; g < balls.length; g += BALL) {
            if (passes(balls[g], balls[g + 1], balls[g + 2], balls[g + 3], from, way)) {
                int met = facet(all, g / BALL * TOGETHER, from, way, metres);
                facet = met == NOTHING ? facet : met;
            }
        }
        return facet;
    }

    /** Of some triangles from a number on. */
    private static int facet(double[] all, int first, SpacePoint from, double[] way, double[] metres) {
        int facet = NOTHING;
        for (int k = first * TRIANGLE; k < (first + TOGETHER) * TRIANGLE; k += TRIANGLE) {
            double px = way[1] * all[k + 8] - way[2] * all[k + 7];
            double py = way[2] * all[k + 6] - way[0] * all[k + 8];
            double pz = way[0] * all[k + 7] - way[1] * all[k + 6];
            double turned = all[k + 3] * px + all[k + 4] * py + all[k + 5] * pz;
            if (turned <= 1e-12) {
                continue;
            }
            double tx = from.xM() - all[k];
            double ty = from.yM() - all[k + 1];
            double tz = from.zM() - all[k + 2];
            double u = (tx * px + ty * py + tz * pz) / turned;
            if (u < 0 || u > 1) {
                continue;
            }
            double qx = ty * all[k + 5] - tz * all[k + 4];
            double qy = tz * all[k + 3] - tx * all[k + 5];
            double qz = tx * all[k + 4] - ty * all[k + 3];
            double v = (way[0] * qx + way[1] * qy + way[2] * qz) / turned;
            if (v < 0 || u + v > 1) {
                continue;
            }
            double t = (all[k + 6] * qx + all[k + 7] * qy + all[k + 8] * qz) / turned;
            if (t >= NEAREST_M && t < metres[0]) {
                metres[0] = t;
                facet = k / (2 * TRIANGLE);
            }
        }
        return facet;
    }
}
