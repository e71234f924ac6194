package org.oblume.core.day;

import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;

/**
 * An opening in an upright wall, as the sun comes through it.
 *
 * @param from one end on the plan
 * @param to the other
 * @param sillM height of its lower edge, metres
 * @param headM height of its upper edge
 */
public record UprightOpening(PlanPoint from, PlanPoint to, double sillM, double headM) {

    private static final double IN_ITS_PLANE_M = 0.001;
    private static final double EDGE = 1e-9;

    public UprightOpening {
        if (from.distanceM(to) == 0) {
            throw new Refusal("to", "The opening has no width: give it two ends.");
        }
        if (!(sillM < headM)) {
            throw new Refusal("sillM", "The sill lies below the head: look at the two heights.");
        }
    }

    /** @throws Refusal when a point lies in the plane of the opening, so that it neither looks in nor out */
    public void requireBeside(SpacePoint point) {
        double dx = to.xM() - from.xM();
        double dy = to.yM() - from.yM();
        double off = (dx * (point.yM() - from.yM()) - dy * (point.xM() - from.xM())) / Math.hypot(dx, dy);
        if (Math.abs(off) < IN_ITS_PLANE_M) {
            throw new Refusal("point", "The point lies in the opening itself: take one in the room.");
        }
    }

    /**
     * Whether the ray from a point towards the sun, which is above the horizon, comes through; its edges count.
     *
     * @param northDeg bearing of true north on the plan
     */
    public boolean letsIn(SunDirection sun, double northDeg, SpacePoint point) {
        if (!(sun.elevationDeg() > 0)) {
            return false;
        }
        double turn = Math.toRadians(
                Bearing.ofDegrees(sun.azimuth().degrees() + northDeg).degrees());
        double rx = Math.sin(turn);
        double ry = Math.cos(turn);
        double ex = to.xM() - from.xM();
        double ey = to.yM() - from.yM();
        double det = rx * ey - ry * ex;
        if (det == 0) {
            return false;
        }
        double px = from.xM() - point.xM();
        double py = from.yM() - point.yM();
        double level = (px * ey - py * ex) / det;
        double along = (px * ry - py * rx) / det;
        double height = point.zM() + level * Math.tan(Math.toRadians(sun.elevationDeg()));
        return level > 0 && along >= -EDGE && along <= 1 + EDGE && height >= sillM - EDGE && height <= headM + EDGE;
    }
}
