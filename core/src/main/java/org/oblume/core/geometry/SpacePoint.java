package org.oblume.core.geometry;

import org.oblume.core.units.Checks;

/**
 * A point in space.
 *
 * @param xM metres to the right on the plan
 * @param yM metres up the plan
 * @param zM height in metres from the floor datum
 */
public record SpacePoint(double xM, double yM, double zM) {

    /** Nearer than this two points are one, metres: a micrometre, below all that is measured and above what rounding costs. */
    private static final double SAME_WITHIN_M = 1e-6;

    public SpacePoint {
        Checks.finite("x", xM);
        Checks.finite("y", yM);
        Checks.finite("z", zM);
    }

    /** Whether it is the same point as another, but for rounding: there is no direction from one to the other then. */
    public boolean coincides(SpacePoint other) {
        return distanceM(other) < SAME_WITHIN_M;
    }

    public PlanPoint onPlan() {
        return new PlanPoint(xM, yM);
    }

    /** Straight line, metres. */
    public double distanceM(SpacePoint other) {
        double dx = other.xM - xM;
        double dy = other.yM - yM;
        double dz = other.zM - zM;
        return Math.sqrt(dx * dx + dy * dy + dz * dz);
    }
}
