package org.oblume.core.proof;

import org.oblume.core.colour.ConeLight;
import org.oblume.core.units.Kelvin;

/** What a reading is compared by: the logarithm of its lux, and CIE 1960 u and v. Smooth in what each light brings. */
final class Features {

    /** How many there are. */
    static final int COUNT = 3;

    /** Less light than this no meter tells from none, lux. */
    private static final double DARKEST_LUX = 0.1;

    private static final double[][] XYZ = columns();

    private Features() {}

    private static double[][] columns() {
        double[][] rows = new double[COUNT][ConeLight.CHANNELS];
        for (int c = 0; c < ConeLight.CHANNELS; c++) {
            double[] one = new double[ConeLight.CHANNELS];
            one[c] = 1;
            double[] column = ConeLight.tristimulus(one);
            for (int i = 0; i < COUNT; i++) {
                rows[i][c] = column[i];
            }
        }
        return rows;
    }

    private static double part(double[] row, double[] cones) {
        return row[0] * cones[0] + row[1] * cones[1] + row[2] * cones[2];
    }

    /** Writes the features of a light at a place in a row of them. */
    static void of(double[] cones, double[] into, int at) {
        double x = part(XYZ[0], cones);
        double y = part(XYZ[1], cones);
        double z = part(XYZ[2], cones);
        double sum = x + 15 * y + 3 * z;
        into[at] = Math.log(Math.max(DARKEST_LUX, y));
        into[at + 1] = y < DARKEST_LUX ? 0 : 4 * x / sum;
        into[at + 2] = y < DARKEST_LUX ? 0 : 6 * y / sum;
    }

    /** How they change with each channel: a row a feature. */
    static double[][] slopes(double[] cones) {
        double[][] slopes = new double[COUNT][ConeLight.CHANNELS];
        double x = part(XYZ[0], cones);
        double y = part(XYZ[1], cones);
        double z = part(XYZ[2], cones);
        if (y < DARKEST_LUX) {
            return slopes;
        }
        double sum = x + 15 * y + 3 * z;
        for (int c = 0; c < ConeLight.CHANNELS; c++) {
            double sums = XYZ[0][c] + 15 * XYZ[1][c] + 3 * XYZ[2][c];
            slopes[0][c] = XYZ[1][c] / y;
            slopes[1][c] = 4 * (XYZ[0][c] * sum - x * sums) / (sum * sum);
            slopes[2][c] = 6 * (XYZ[1][c] * sum - y * sums) / (sum * sum);
        }
        return slopes;
    }

    /**
     * u and v of a white.
     *
     * @param kelvin 1000 to 25000
     */
    static double[] white(double kelvin, double duv) {
        double[] features = new double[COUNT];
        of(ConeLight.white(Kelvin.MIRED_PRODUCT / kelvin, duv), features, 0);
        return new double[] {features[1], features[2]};
    }
}
