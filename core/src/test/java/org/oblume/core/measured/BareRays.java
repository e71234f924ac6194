package org.oblume.core.measured;

/** The floor of a picture: rays that meet rectangles in a bare loop over arrays, the nearest counts, and nothing of light. */
final class BareRays {

    /** A rectangle: a corner, two sides, its normal, the squares of its sides. */
    private static final int STRIDE = 14;

    private final double[] all;
    private final int count;

    /** @param count of rectangles, in a ring of 12 by 9 m */
    BareRays(int count) {
        this.count = count;
        all = new double[count * STRIDE];
        for (int i = 0; i < count; i++) {
            double turn = 2 * Math.PI * i / count;
            double[] side = {Math.cos(turn), -Math.sin(turn), 0};
            double[] corner = {6 * Math.sin(turn), 4.5 * Math.cos(turn), 0.3 * (i % 7)};
            double[] normal = {-Math.sin(turn), -Math.cos(turn), 0};
            int at = i * STRIDE;
            System.arraycopy(corner, 0, all, at, 3);
            System.arraycopy(side, 0, all, at + 3, 3);
            all[at + 8] = 2;
            System.arraycopy(normal, 0, all, at + 9, 3);
            all[at + 12] = 1;
            all[at + 13] = 4;
        }
    }

    /** @return how many of a picture's rays meet something, from the middle outwards */
    int meet(int width, int height) {
        int met = 0;
        for (int row = 0; row < height; row++) {
            for (int column = 0; column < width; column++) {
                double x = (column - width / 2.0) / width;
                double z = (height / 2.0 - row) / width;
                met += nearest(x, 1, z) < 0 ? 0 : 1;
            }
        }
        return met;
    }

    private int nearest(double dx, double dy, double dz) {
        int nearest = -1;
        double far = Double.MAX_VALUE;
        for (int i = 0; i < count; i++) {
            int at = i * STRIDE;
            double towards = all[at + 9] * dx + all[at + 10] * dy + all[at + 11] * dz;
            double t =
                    (all[at + 9] * all[at] + all[at + 10] * all[at + 1] + all[at + 11] * (all[at + 2] - 1.5)) / towards;
            if (t > 0 && t < far) {
                double px = t * dx - all[at];
                double py = t * dy - all[at + 1];
                double pz = 1.5 + t * dz - all[at + 2];
                double along = px * all[at + 3] + py * all[at + 4] + pz * all[at + 5];
                double up = px * all[at + 6] + py * all[at + 7] + pz * all[at + 8];
                if (along >= 0 && along <= all[at + 12] && up >= 0 && up <= all[at + 13]) {
                    far = t;
                    nearest = i;
                }
            }
        }
        return nearest;
    }
}
