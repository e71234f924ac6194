package org.oblume.core.bust;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The head (own geometry, a model): even rings of points from the crown to the collar, flat facets between them; the nose, the brow, the
 * sockets of the eyes, the lips, the chin and the ears are points that stand out or back. In its own frame, metres: forward of the axis,
 * to the subject's own left, above the line of the eyes.
 */
public final class Bust {

    /** What a facet sends back of the light on it. */
    public static final double REFLECTANCE = 0.25;

    /** Of each ring: above the eyes, half its width, its depth forward and back of the axis. */
    private static final double[][] RINGS = {
        {0.120, 0.016, 0.018, 0.018},
        {0.112, 0.045, 0.050, 0.054},
        {0.095, 0.064, 0.072, 0.078},
        {0.070, 0.073, 0.085, 0.093},
        {0.045, 0.076, 0.091, 0.097},
        {0.024, 0.076, 0.094, 0.098},
        {0.012, 0.075, 0.091, 0.098},
        {0.000, 0.074, 0.087, 0.098},
        {-0.012, 0.073, 0.088, 0.096},
        {-0.023, 0.072, 0.089, 0.095},
        {-0.034, 0.070, 0.089, 0.092},
        {-0.045, 0.068, 0.088, 0.088},
        {-0.055, 0.066, 0.087, 0.083},
        {-0.064, 0.064, 0.086, 0.078},
        {-0.071, 0.062, 0.083, 0.074},
        {-0.080, 0.060, 0.084, 0.070},
        {-0.092, 0.055, 0.084, 0.064},
        {-0.106, 0.047, 0.078, 0.060},
        {-0.114, 0.048, 0.052, 0.060},
        {-0.150, 0.054, 0.046, 0.064},
        {-0.182, 0.062, 0.050, 0.070},
        {-0.200, 0.150, 0.066, 0.086},
        {-0.230, 0.205, 0.082, 0.096},
        {-0.290, 0.215, 0.092, 0.104}
    };

    /** From straight ahead to straight behind, degrees: nine points a side, closer together in the face. */
    private static final double[] AROUND_DEG = {0, 9, 23, 40, 60, 82, 110, 145, 180};
    /** What stands out (+) or back (−): from and to this high, which point of a side, at its upper and its lower end, metres. */
    private static final double[][] FEATURES = {
        {-0.046, 0.013, 0, 0.004, 0.030}, // the nose
        {-0.046, -0.020, 1, 0.001, 0.008}, // its wings
        {0.011, 0.025, 1, 0.004, 0.004}, // the brow
        {0.011, 0.025, 2, 0.005, 0.005},
        {0.011, 0.025, 3, 0.003, 0.003},
        {-0.013, 0.013, 2, -0.010, -0.008}, // the sockets
        {-0.013, 0.013, 3, -0.006, -0.004},
        {-0.035, -0.022, 3, 0.004, 0.003}, // the cheekbones
        {-0.065, -0.054, 0, 0.003, 0.006}, // the lips
        {-0.065, -0.054, 1, 0.002, 0.004},
        {-0.081, -0.070, 0, -0.001, 0.004},
        {-0.093, -0.085, 0, 0.006, 0.006}, // the chin
        {-0.093, -0.085, 1, 0.005, 0.005},
        {-0.035, 0.013, 5, 0.010, 0.004} // the ears
    };

    private static final double CHEEK_BELOW_M = -0.012;
    private static final double CHEEK_ABOVE_M = -0.045;
    private static final double CHEEK_FROM_M = 0.03;
    private static final double CHEEK_TO_M = 0.06;
    private static final int CORNERS = 4;
    private static final Bust PLAIN = new Bust();

    private final List<Facet> facets;

    /**
     * A flat piece of it.
     *
     * @param corners in order around it; two of them are one point where it has three
     * @param middle of them
     * @param normal outwards, of length 1
     */
    public record Facet(double[][] corners, double[] middle, double[] normal) {}

    private Bust() {
        int points = AROUND_DEG.length;
        List<Facet> all = new ArrayList<>();
        for (int ring = 0; ring < RINGS.length; ring++) {
            for (int side = 1; side >= -1; side -= 2) {
                for (int i = 0; i + 1 < points; i++) {
                    double[] below = point(ring, i, side);
                    double[] next = point(ring, i + 1, side);
                    double[] aboveNext = ring == 0 ? crown() : point(ring - 1, i + 1, side);
                    double[] above = ring == 0 ? crown() : point(ring - 1, i, side);
                    all.add(side > 0 ? facet(above, below, next, aboveNext) : facet(aboveNext, next, below, above));
                }
            }
        }
        facets = List.copyOf(all);
    }

    /** There is one. */
    public static Bust plain() {
        return PLAIN;
    }

    /** Its facets, always in this order. */
    public List<Facet> facets() {
        return facets;
    }

    /**
     * The facet of a cheek that looks most nearly 45° aside and level: what the ladder's cheek is of.
     *
     * @param left whether of the subject's own left cheek
     */
    public int cheek(boolean left) {
        double side = left ? 1 : -1;
        int best = 0;
        double most = -1;
        for (int f : cheekFacets(left)) {
            double like = facets.get(f).normal[0] + side * facets.get(f).normal[1];
            if (like > most) {
                most = like;
                best = f;
            }
        }
        return best;
    }

    /** The facets of a cheek, between the nose and the side of the face, below the eye. */
    public int[] cheekFacets(boolean left) {
        double side = left ? 1 : -1;
        return IntStream.range(0, facets.size())
                .filter(f -> {
                    double[] at = facets.get(f).middle;
                    boolean below = at[2] < CHEEK_BELOW_M && at[2] > CHEEK_ABOVE_M;
                    boolean beside = side * at[1] > CHEEK_FROM_M && side * at[1] < CHEEK_TO_M;
                    return below && beside && at[0] > CHEEK_FROM_M;
                })
                .toArray();
    }

    /** The corners of its lower edge, round it. */
    public List<double[]> collar() {
        List<double[]> corners = new ArrayList<>();
        int last = RINGS.length - 1;
        for (int i = 0; i + 1 < AROUND_DEG.length; i++) {
            corners.add(point(last, i, 1));
        }
        for (int i = AROUND_DEG.length - 1; i > 0; i--) {
            corners.add(point(last, i, -1));
        }
        return corners;
    }

    private static double[] crown() {
        return new double[] {0, 0, RINGS[0][0] + 0.003};
    }

    private static double[] point(int ring, int around, int side) {
        double up = RINGS[ring][0];
        double angle = Math.toRadians(AROUND_DEG[around]);
        double deep = Math.cos(angle) >= 0 ? RINGS[ring][2] : RINGS[ring][3];
        double forward = deep * Math.cos(angle);
        double left = RINGS[ring][1] * Math.sin(angle);
        double out = out(up, around);
        return new double[] {forward + out * Math.cos(angle), side * (left + out * Math.sin(angle)), up};
    }

    private static double out(double up, int around) {
        double out = 0;
        for (double[] feature : FEATURES) {
            if (feature[2] == around && up >= feature[0] && up <= feature[1]) {
                double down = (feature[1] - up) / (feature[1] - feature[0]);
                out += feature[3] + down * (feature[4] - feature[3]);
            }
        }
        return out;
    }

    private static Facet facet(double[]... corners) {
        double[] middle = new double[3];
        for (double[] corner : corners) {
            for (int k = 0; k < middle.length; k++) {
                middle[k] += corner[k] / CORNERS;
            }
        }
        double[] a = minus(corners[2], corners[0]);
        double[] b = minus(corners[3], corners[1]);
        double[] normal = {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
        double length = Math.sqrt(normal[0] * normal[0] + normal[1] * normal[1] + normal[2] * normal[2]);
        for (int k = 0; k < normal.length; k++) {
            normal[k] /= length;
        }
        return new Facet(corners, middle, normal);
    }

    private static double[] minus(double[] a, double[] b) {
        return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
    }
}
