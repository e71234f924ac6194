package org.oblume.core.bust;

import java.util.Arrays;
import java.util.List;

/**
 * What part of each facet of the bust light from one direction reaches, by a picture of the bust from there in which each dot tells how near its
 * surface is: what lies deeper is in shadow (model: dots of 5 mm; each facet is asked at nine points).
 */
public final class OwnShadow {

    private static final double REACH_M = 0.36;
    private static final double DOT_M = 0.005;
    private static final int DOTS = (int) Math.ceil(2 * REACH_M / DOT_M);
    private static final double OFF_M = 0.003;
    private static final double NEAR_M = 0.003;
    private static final double MOST_STEEP = 6;
    private static final double[] PARTS = {1.0 / 6, 0.5, 5.0 / 6};
    /** Directions from all around, by which is found how open each facet is. */
    private static final int DIRECTIONS = 128;

    private static final double GOLDEN = Math.PI * (3 - Math.sqrt(5));
    private static final double[] OPEN = open();

    private OwnShadow() {}

    /**
     * @param to unit vector to where the light comes from, in the bust's frame
     * @return by facet, 0 in shadow or turned away, to 1
     */
    public static double[] reached(double[] to) {
        double[] right = Math.abs(to[2]) < 0.9 ? unit(-to[1], to[0], 0) : unit(0, -to[2], to[1]);
        double[] up = {
            to[1] * right[2] - to[2] * right[1],
            to[2] * right[0] - to[0] * right[2],
            to[0] * right[1] - to[1] * right[0]
        };
        List<Bust.Facet> facets = Bust.plain().facets();
        float[] nearest = new float[DOTS * DOTS];
        Arrays.fill(nearest, -Float.MAX_VALUE);
        for (Bust.Facet facet : facets) {
            double[][] seen = new double[facet.corners().length][];
            for (int i = 0; i < seen.length; i++) {
                double[] corner = facet.corners()[i];
                seen[i] = new double[] {
                    (dot(corner, right) + REACH_M) / DOT_M, (dot(corner, up) + REACH_M) / DOT_M, dot(corner, to)
                };
            }
            draw(seen[0], seen[1], seen[2], nearest);
            draw(seen[0], seen[2], seen[3], nearest);
        }
        double[] reached = new double[facets.size()];
        for (int i = 0; i < reached.length; i++) {
            Bust.Facet facet = facets.get(i);
            double cosine = dot(facet.normal(), to);
            if (cosine > 0) {
                double steep = Math.min(MOST_STEEP, Math.sqrt(1 - Math.min(1, cosine * cosine)) / cosine);
                reached[i] = part(facet, NEAR_M + DOT_M * steep, right, up, to, nearest);
            }
        }
        return reached;
    }

    private static double part(
            Bust.Facet facet, double near, double[] right, double[] up, double[] to, float[] nearest) {
        int lit = 0;
        for (double a : PARTS) {
            for (double b : PARTS) {
                double[] at = new double[3];
                for (int k = 0; k < at.length; k++) {
                    double above = facet.corners()[0][k] + a * (facet.corners()[3][k] - facet.corners()[0][k]);
                    double below = facet.corners()[1][k] + a * (facet.corners()[2][k] - facet.corners()[1][k]);
                    at[k] = above + b * (below - above) + OFF_M * facet.normal()[k];
                }
                int x = (int) ((dot(at, right) + REACH_M) / DOT_M);
                int y = (int) ((dot(at, up) + REACH_M) / DOT_M);
                boolean outside = x < 0 || y < 0 || x >= DOTS || y >= DOTS;
                lit += outside || nearest[y * DOTS + x] <= dot(at, to) + near ? 1 : 0;
            }
        }
        return lit / (double) (PARTS.length * PARTS.length);
    }

    /** How much of the light from all around the bust itself leaves to a facet, 0 to 1. */
    public static double openness(int facet) {
        return OPEN[facet];
    }

    private static double[] open() {
        int facets = Bust.plain().facets().size();
        double[] open = new double[facets];
        double[] all = new double[facets];
        for (int i = 0; i < DIRECTIONS; i++) {
            double up = 1 - (2 * i + 1.0) / DIRECTIONS;
            double flat = Math.sqrt(1 - up * up);
            double[] to = {flat * Math.cos(GOLDEN * i), flat * Math.sin(GOLDEN * i), up};
            double[] reached = reached(to);
            for (int f = 0; f < facets; f++) {
                double cosine = Math.max(0, dot(Bust.plain().facets().get(f).normal(), to));
                all[f] += cosine;
                open[f] += cosine * reached[f];
            }
        }
        for (int f = 0; f < facets; f++) {
            open[f] = all[f] == 0 ? 0 : open[f] / all[f];
        }
        return open;
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    private static double[] unit(double x, double y, double z) {
        double length = Math.sqrt(x * x + y * y + z * z);
        return new double[] {x / length, y / length, z / length};
    }

    private static void draw(double[] a, double[] b, double[] c, float[] nearest) {
        double twice = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
        if (twice == 0) {
            return;
        }
        int left = (int) Math.max(0, Math.floor(Math.min(a[0], Math.min(b[0], c[0]))));
        int last = (int) Math.min(DOTS - 1, Math.floor(Math.max(a[0], Math.max(b[0], c[0]))));
        int top = (int) Math.max(0, Math.floor(Math.min(a[1], Math.min(b[1], c[1]))));
        int bottom = (int) Math.min(DOTS - 1, Math.floor(Math.max(a[1], Math.max(b[1], c[1]))));
        for (int y = top; y <= bottom; y++) {
            for (int x = left; x <= last; x++) {
                double px = x + 0.5;
                double py = y + 0.5;
                double p = ((b[0] - px) * (c[1] - py) - (b[1] - py) * (c[0] - px)) / twice;
                double q = ((c[0] - px) * (a[1] - py) - (c[1] - py) * (a[0] - px)) / twice;
                double r = 1 - p - q;
                if (p >= 0 && q >= 0 && r >= 0) {
                    int at = y * DOTS + x;
                    nearest[at] = Math.max(nearest[at], (float) (p * a[2] + q * b[2] + r * c[2]));
                }
            }
        }
    }
}
