package org.oblume.core.colour;

import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;

/**
 * What the camera takes for white. Colours are seen through Bradford adaptation from this white to D65 (Lam, 1985, as in
 * ICC practice).
 */
public final class CameraWhite {

    static final Matrix BRADFORD = Matrix.of(0.8951, 0.2664, -0.1614, -0.7502, 1.7135, 0.0367, 0.0389, -0.0685, 1.0296);
    static final Matrix BRADFORD_BACK = BRADFORD.inverse();
    /** D65 as sRGB has it: x 0.3127, y 0.3290. */
    private static final Xyz D65 = new Xyz(0.3127 / 0.3290, 1, (1 - 0.3127 - 0.3290) / 0.3290);

    private final double[] gains = new double[3];

    private CameraWhite(Xyz white) {
        double[] from = BRADFORD.times(white.x(), white.y(), white.z());
        double[] to = BRADFORD.times(D65.x(), D65.y(), D65.z());
        for (int i = 0; i < gains.length; i++) {
            if (!(from[i] > 0)) {
                throw new Refusal(
                        "whiteBalanceDuv",
                        "A camera white this warm and this green is not a real colour: bring its tint nearer to 0.");
            }
            gains[i] = to[i] / from[i];
        }
    }

    public static CameraWhite of(WhitePoint white) {
        return of(white.kelvin(), white.duv());
    }

    /** @throws Refusal when the white's Bradford response is not positive in all three channels */
    public static CameraWhite of(Kelvin kelvin, Duv duv) {
        return new CameraWhite(PlanckianLocus.at(kelvin, duv).xyz());
    }

    /** How a light looks to this camera: brightest channel full, what lies outside sRGB clipped. */
    public Swatch swatch(LightColour light) {
        return swatch(light.xyz());
    }

    Swatch swatch(Xyz xyz) {
        return Swatch.ofLinear(linear(BRADFORD.times(xyz.x(), xyz.y(), xyz.z())));
    }

    /**
     * A light as this camera sees it, linear sRGB in the unit of its luminance; parts can be below 0.
     *
     * @param cones by {@link ConeLight}'s channels
     */
    public double[] linear(double[] cones) {
        double[] seen = BRADFORD_BACK.times(cones[0] * gains[0], cones[1] * gains[1], cones[2] * gains[2]);
        return Srgb.FROM_XYZ.times(seen[0], seen[1], seen[2]);
    }

    /**
     * What a colour meter reads of the light that this camera sees so.
     *
     * @param linear red, green and blue of a neutral patch, linear sRGB (the primaries of ITU-R BT.709), in any unit
     */
    public ColourReading reading(double[] linear) {
        double[] seen = Srgb.TO_XYZ.times(linear[0], linear[1], linear[2]);
        double[] cones = BRADFORD.times(seen[0], seen[1], seen[2]);
        double[] light = BRADFORD_BACK.times(cones[0] / gains[0], cones[1] / gains[1], cones[2] / gains[2]);
        return PlanckianLocus.reading(new Xyz(light[0], light[1], light[2]).chromaticity());
    }
}
