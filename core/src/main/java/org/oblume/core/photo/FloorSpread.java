package org.oblume.core.photo;

/**
 * How far a place strays on the floor: an ellipse of one standard deviation.
 *
 * @param longM half of its longer axis, metres
 * @param shortM half of the other
 * @param bearingDeg of the longer one, clockwise from up the plan, 0 to below 180
 */
public record FloorSpread(double longM, double shortM, double bearingDeg) {

    private static final double HALF_TURN_DEG = 180;

    /** From the variances along x and y and their covariance, square metres. */
    static FloorSpread of(double xx, double xy, double yy) {
        double middle = (xx + yy) / 2;
        double off = Math.hypot((xx - yy) / 2, xy);
        double bearing = Math.toDegrees(Math.atan2(2 * xy, yy - xx) / 2);
        return new FloorSpread(
                Math.sqrt(middle + off),
                Math.sqrt(Math.max(0, middle - off)),
                (bearing + HALF_TURN_DEG) % HALF_TURN_DEG);
    }

    /** √(var x + var y), metres. */
    public double sigmaM() {
        return Math.hypot(longM, shortM);
    }

    /** One standard deviation along a bearing, metres. */
    public double along(double bearing) {
        double off = Math.toRadians(bearing - bearingDeg);
        return Math.hypot(longM * Math.cos(off), shortM * Math.sin(off));
    }

    /**
     * How many standard deviations another place is away, √(dᵀ·Σ⁻¹·d): across a long thin ellipse fewer centimetres are as many.
     *
     * @param dxM to the right of this place, metres
     * @param dyM up the plan, metres
     * @param ownM one standard deviation of the other place along each axis, metres
     */
    public double deviationsTo(double dxM, double dyM, double ownM) {
        double bearing = Math.toRadians(bearingDeg);
        double along = dxM * Math.sin(bearing) + dyM * Math.cos(bearing);
        double across = dxM * Math.cos(bearing) - dyM * Math.sin(bearing);
        return Math.hypot(along / Math.hypot(longM, ownM), across / Math.hypot(shortM, ownM));
    }
}
