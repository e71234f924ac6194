package org.oblume.core.geometry;

/** Plane geometry that tapes and walls share. */
final class Plane {

    private Plane() {}

    /** Twice the signed area of the triangle: positive when {@code c} is to the left of the way from a to b. */
    static double turn(PlanPoint a, PlanPoint b, PlanPoint c) {
        return (b.xM() - a.xM()) * (c.yM() - a.yM()) - (b.yM() - a.yM()) * (c.xM() - a.xM());
    }

    /** Angle at {@code corner} between the ways to two other points, 0–180°. */
    static double angleDeg(PlanPoint corner, PlanPoint a, PlanPoint b) {
        double dot = (a.xM() - corner.xM()) * (b.xM() - corner.xM()) + (a.yM() - corner.yM()) * (b.yM() - corner.yM());
        return Math.toDegrees(Math.atan2(Math.abs(turn(corner, a, b)), dot));
    }

    /** Distance in metres from a point to the segment between two others. */
    static double distanceM(PlanPoint point, PlanPoint from, PlanPoint to) {
        return point.distanceM(from.towards(to, partOfWay(point, from, to)));
    }

    /** Which part of a segment is nearest to a point, 0 to 1. */
    static double partOfWay(PlanPoint point, PlanPoint from, PlanPoint to) {
        double dx = to.xM() - from.xM();
        double dy = to.yM() - from.yM();
        double squared = dx * dx + dy * dy;
        double along = squared == 0 ? 0 : ((point.xM() - from.xM()) * dx + (point.yM() - from.yM()) * dy) / squared;
        return Math.max(0, Math.min(1, along));
    }

    /** Whether two segments cross in a point that is inside both (ends do not count: a tape may start at a wall). */
    static boolean cross(PlanPoint a, PlanPoint b, PlanPoint c, PlanPoint d, double slackM) {
        double ab = a.distanceM(b);
        double cd = c.distanceM(d);
        if (ab == 0 || cd == 0) {
            return false;
        }
        double c1 = turn(a, b, c) / ab;
        double d1 = turn(a, b, d) / ab;
        double a1 = turn(c, d, a) / cd;
        double b1 = turn(c, d, b) / cd;
        return opposite(c1, d1, slackM) && opposite(a1, b1, slackM);
    }

    private static boolean opposite(double one, double other, double slackM) {
        return (one > slackM && other < -slackM) || (one < -slackM && other > slackM);
    }
}
