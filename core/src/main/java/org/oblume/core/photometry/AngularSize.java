package org.oblume.core.photometry;

import org.oblume.core.units.Checks;

/** How large a source is as it is seen: the measure of its softness. */
public final class AngularSize {

    /** Of sun and moon, degrees. */
    public static final double SUN_DEG = 0.53;

    private AngularSize() {}

    /**
     * {@code δ = 2·atan(r/d)}, degrees.
     *
     * @param radiusM 0 or more
     * @param distanceM above 0
     */
    public static double ofDiscDeg(double radiusM, double distanceM) {
        return 2
                * Math.toDegrees(Math.atan(Checks.notBelow0("radiusM", "A radius", radiusM, " m")
                        / Checks.above0("distanceM", "A distance", distanceM, " m")));
    }
}
