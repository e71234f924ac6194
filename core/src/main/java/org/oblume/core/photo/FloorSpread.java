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
}
