package org.oblume.core.transport;

import java.util.List;

/** All that stands in the way, laid out so that what is not met is told at once: most of it is on the same side of both ends of a way. */
final class Obstacles {

    private static final double DARK = 1e-9;
    /** Nearer to a plane than this, a point is on it, metres: what starts there is not stopped by it. */
    private static final double ON_IT_M = 1e-5;

    private static final int EACH = 14;

    /** Of each sheet: normal and its part of the middle, right and its, up and its, half width, half height. */
    private final double[] planes;

    private final Sheet[] sheets;
    private final Slab[] slabs;

    Obstacles(List<Obstacle> all) {
        this.sheets = all.stream().filter(Sheet.class::isInstance).toArray(Sheet[]::new);
        this.slabs = all.stream().filter(Slab.class::isInstance).toArray(Slab[]::new);
        this.planes = new double[EACH * sheets.length];
        for (int i = 0; i < sheets.length; i++) {
            sheets[i].panel().into(planes, EACH * i);
        }
    }

    boolean any() {
        return sheets.length + slabs.length > 0;
    }

    /** Takes from a light what stands in its way; false when nothing is left. */
    boolean pass(
            double ax, double ay, double az, double bx, double by, double bz, double ra, double rb, double[] light) {
        for (int i = 0, k = 0; i < sheets.length; i++, k += EACH) {
            double before = planes[k] * ax + planes[k + 1] * ay + planes[k + 2] * az - planes[k + 3];
            double after = planes[k] * bx + planes[k + 1] * by + planes[k + 2] * bz - planes[k + 3];
            if (before * after >= 0 || Math.abs(before) < ON_IT_M || Math.abs(after) < ON_IT_M) {
                continue;
            }
            double part = before / (before - after);
            double x = ax + part * (bx - ax);
            double y = ay + part * (by - ay);
            double z = az + part * (bz - az);
            double radius = ra + part * (rb - ra);
            double across = planes[k + 4] * x + planes[k + 5] * y + planes[k + 6] * z - planes[k + 7];
            if (Math.abs(across) >= planes[k + 12] + radius) {
                continue;
            }
            double up = planes[k + 8] * x + planes[k + 9] * y + planes[k + 10] * z - planes[k + 11];
            if (Math.abs(up) >= planes[k + 13] + radius) {
                continue;
            }
            sheets[i].filter(sheets[i].covers(across, up, radius), light);
            if (isDark(light)) {
                return false;
            }
        }
        for (Slab slab : slabs) {
            double covered = slab.stops(ax, ay, az, bx, by, bz, ra, rb);
            if (covered > 0) {
                slab.filter(covered, light);
                if (isDark(light)) {
                    return false;
                }
            }
        }
        return true;
    }

    private static boolean isDark(double[] light) {
        return light[0] <= DARK && light[1] <= DARK && light[2] <= DARK;
    }
}
