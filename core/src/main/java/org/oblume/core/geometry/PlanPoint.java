package org.oblume.core.geometry;

import org.oblume.core.units.Checks;

/**
 * A point of the plan, seen from above.
 *
 * @param xM metres to the right of the plan's origin
 * @param yM metres up the plan from its origin
 */
public record PlanPoint(double xM, double yM) {

    public PlanPoint {
        Checks.finite("x", xM);
        Checks.finite("y", yM);
    }

    public static PlanPoint of(double xM, double yM) {
        return new PlanPoint(xM, yM);
    }

    public double distanceM(PlanPoint other) {
        return Math.hypot(other.xM - xM, other.yM - yM);
    }

    /** This point, at a height above the floor datum in metres. */
    public SpacePoint at(double heightM) {
        return new SpacePoint(xM, yM, heightM);
    }

    /** To the nearest point of the line from one point to another, metres. */
    public double distanceM(PlanPoint from, PlanPoint to) {
        return Plane.distanceM(this, from, to);
    }

    /** Which part of the way from one point to another is nearest to this, 0 to 1; 0 where they are one. */
    public double partOfWay(PlanPoint from, PlanPoint to) {
        return Plane.partOfWay(this, from, to);
    }

    /** A part of the way to another point, 0 to 1. */
    public PlanPoint towards(PlanPoint other, double part) {
        return new PlanPoint(xM + part * (other.xM - xM), yM + part * (other.yM - yM));
    }
}
