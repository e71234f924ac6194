package org.oblume.core.colour;

/** The sRGB space (IEC 61966-2-1): linear matrix for D65 and the encoding curve. */
final class Srgb {

    static final Matrix FROM_XYZ = Matrix.of(
            3.2404541621141054,
            -1.5371385127977166,
            -0.4985314095560162,
            -0.9692660305051868,
            1.8760108454466942,
            0.0415560175303498,
            0.0556434309591147,
            -0.2040259135167538,
            1.0572251882231791);
    static final Matrix TO_XYZ = FROM_XYZ.inverse();

    private Srgb() {}

    /** The sRGB curve: linear 0–1 to encoded 0–1. */
    static double encode(double linear) {
        return linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
    }

    /** Back: encoded 0–1 to linear 0–1. */
    static double decode(double encoded) {
        return encoded <= 0.04045 ? encoded / 12.92 : Math.pow((encoded + 0.055) / 1.055, 2.4);
    }
}
