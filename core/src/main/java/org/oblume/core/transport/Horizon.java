package org.oblume.core.transport;

/** What a small surface gets of a source that is larger than a point and may stand across its horizon. */
public final class Horizon {

    private Horizon() {}

    /** The angle of a cosine, radians, to 2·10⁻⁸ (Abramowitz and Stegun, 4.4.46): a tenth of what the exact one takes. */
    public static double angle(double cosine) {
        double x = Math.min(1, Math.abs(cosine));
        double series = 1.5707963050
                + x
                        * (-0.2145988016
                                + x
                                        * (0.0889789874
                                                + x
                                                        * (-0.0501743046
                                                                + x
                                                                        * (0.0308918810
                                                                                + x
                                                                                        * (-0.0170881256
                                                                                                + x
                                                                                                        * (0.0066700901
                                                                                                                - x
                                                                                                                        * 0.0012624911))))));
        double acute = Math.sqrt(1 - x) * series;
        return cosine < 0 ? Math.PI - acute : acute;
    }

    /**
     * Part of a uniform disc's light that a surface gets which is turned from it, exact for a sphere or a disc that faces it.
     *
     * @param cosine of the angle between the surface's normal and the middle of the disc, −1 to 1
     * @param sine of the disc's angular radius, 0 to 1
     * @return 0 to 1
     */
    public static double factor(double cosine, double sine) {
        if (cosine >= sine) {
            return cosine;
        }
        if (cosine <= -sine) {
            return 0;
        }
        double square = sine * sine;
        double x = Math.sqrt(1 / square - 1);
        double sin = Math.sqrt(1 - cosine * cosine);
        double y = -x * cosine / sin;
        double q = sin * Math.sqrt(Math.max(0, 1 - y * y));
        double part = (cosine * angle(Math.max(-1, Math.min(1, y))) - x * q) * square + Math.atan(q / x);
        return Math.max(0, part / (Math.PI * square));
    }
}
