package org.oblume.core.transport;

/** What a small surface gets of a source that is larger than a point and may stand across its horizon. */
public final class Horizon {

    private Horizon() {}

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
        double part = (cosine * Math.acos(Math.max(-1, Math.min(1, y))) - x * q) * square + Math.atan(q / x);
        return Math.max(0, part / (Math.PI * square));
    }
}
