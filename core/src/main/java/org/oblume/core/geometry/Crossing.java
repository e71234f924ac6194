package org.oblume.core.geometry;

import org.oblume.core.units.Checks;

/** How well two tapes cross at a point. */
public enum Crossing {
    GOOD,
    FAIR,
    POOR;

    private static final double GOOD_FROM_DEG = 45;
    private static final double FAIR_FROM_DEG = 25;
    private static final double STRAIGHT_DEG = 180;

    /** GOOD at 45–135°, FAIR at 25–155°, else POOR; limits are inside. */
    public static Crossing ofAngle(double degrees) {
        double flat = Math.min(degrees, STRAIGHT_DEG - degrees);
        double slack = Checks.LIMIT_SLACK * STRAIGHT_DEG;
        if (flat >= GOOD_FROM_DEG - slack) {
            return GOOD;
        }
        return flat >= FAIR_FROM_DEG - slack ? FAIR : POOR;
    }
}
