package org.oblume.core.colour;

import org.oblume.core.units.Kelvin;

/**
 * Light as the three responses of the cones (Bradford), in which it is carried through a set: what filters and paints take away
 * multiplies each of them. In the space of CIE 1931, so that amounts add and Y is lux.
 */
public final class ConeLight {

    /** Long, middle and short. */
    public static final int CHANNELS = 3;

    private static final double BEFORE_MIRED = Kelvin.MIRED_PRODUCT / 5600;
    private static final double LEAST_MIRED = Kelvin.MIRED_PRODUCT / Kelvin.HIGHEST;
    private static final double MOST_MIRED = Kelvin.MIRED_PRODUCT / Kelvin.LOWEST;
    private static final double FARTHEST_DUV = 0.05;
    /** What is tinted keeps something of every colour back. */
    private static final double MOST_TINTED = 0.98;

    private ConeLight() {}

    /**
     * White light of Y = 1.
     *
     * @param mired colour temperature; beyond 40 to 1000 the end of that range
     * @param duv off the locus, + is green; beyond ±0.05 that
     */
    public static double[] white(double mired, double duv) {
        return of(whiteXyz(mired, duv));
    }

    /** The responses to a light as it is, Y of its white being 1: behind its gels it is less. */
    public static double[] of(LightColour light) {
        return of(light.xyz());
    }

    private static double[] of(Xyz xyz) {
        return CameraWhite.BRADFORD.times(xyz.x(), xyz.y(), xyz.z());
    }

    private static Xyz xyz(double[] cones) {
        double[] back = tristimulus(cones);
        return new Xyz(back[0], back[1], back[2]);
    }

    private static Xyz whiteXyz(double mired, double duv) {
        double within = Math.max(LEAST_MIRED, Math.min(MOST_MIRED, mired));
        return PlanckianLocus.at(Kelvin.MIRED_PRODUCT / within, Math.max(-FARTHEST_DUV, Math.min(FARTHEST_DUV, duv)))
                .xyz();
    }

    /** Behind a saturated gel. */
    public static double[] through(double[] cones, GelColour gel) {
        Xyz xyz = xyz(cones);
        double[] rgb = Srgb.FROM_XYZ.times(xyz.x(), xyz.y(), xyz.z());
        double[] back = Srgb.TO_XYZ.times(rgb[0] * gel.red(), rgb[1] * gel.green(), rgb[2] * gel.blue());
        return of(new Xyz(back[0], back[1], back[2]));
    }

    /**
     * What a paint or a cloth leaves of each channel: that of an equal-luminance light of 5600 K behind the shift, to that of it before.
     *
     * @param part of a neutral light that is left, 0 to 1
     * @param miredShift + is warmer
     * @param duvShift + is green
     */
    public static double[] left(double part, double miredShift, double duvShift) {
        if (miredShift == 0 && duvShift == 0) {
            return new double[] {part, part, part};
        }
        double[] before = white(BEFORE_MIRED, 0);
        double[] behind = white(BEFORE_MIRED + miredShift, duvShift);
        double[] left = new double[CHANNELS];
        for (int c = 0; c < CHANNELS; c++) {
            left[c] = Math.min(MOST_TINTED, part * behind[c] / before[c]);
        }
        return left;
    }

    /** Each channel by its gain. */
    public static double[] times(double[] cones, double[] gains) {
        double[] product = new double[CHANNELS];
        for (int c = 0; c < CHANNELS; c++) {
            product[c] = cones[c] * gains[c];
        }
        return product;
    }

    /** Y, in the unit of the light's amount. */
    public static double luminance(double[] cones) {
        return CameraWhite.BRADFORD_BACK.rows()[1][0] * cones[0]
                + CameraWhite.BRADFORD_BACK.rows()[1][1] * cones[1]
                + CameraWhite.BRADFORD_BACK.rows()[1][2] * cones[2];
    }

    /** CIE 1931 X, Y and Z: linear in the cones. */
    public static double[] tristimulus(double[] cones) {
        return CameraWhite.BRADFORD_BACK.times(cones[0], cones[1], cones[2]);
    }

    /**
     * All that falls on one place.
     *
     * @param cones whose Y is lux, above 0
     */
    public static LightMix mix(double[] cones) {
        Xyz sum = xyz(cones);
        return new LightMix(sum.y(), PlanckianLocus.reading(sum.chromaticity()), sum);
    }
}
