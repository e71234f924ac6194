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

    public SpacePoint {
        Checks.finite("x", xM);
        Checks.finite("y", yM);
        Checks.finite("z", zM);
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
