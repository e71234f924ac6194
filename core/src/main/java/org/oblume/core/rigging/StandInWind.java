package org.oblume.core.rigging;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * Whether a stand tips over, and how many sandbags hold it. An estimate with a safety factor: a qualified rigger decides. Model: a stand
 * on three legs on level ground tips over the line between two feet, half the foot radius from its middle; the wind is even and blows on
 * all of the sail at its full height; the bags lie in the middle.
 *
 * @param overturningNm of the wind and of what is held on an arm
 * @param rightingNm of the stand and what is on it, without bags
 * @param bags 0 to 20
 */
public record StandInWind(double overturningNm, double rightingNm, int bags) {

    /** Metres per second in a closed room. */
    public static final double INDOORS_MS = 1;

    public static final double DEFAULT_BAG_KG = 7;
    public static final double DEFAULT_FACTOR = 1.5;
    public static final double DEFAULT_FOOT_RADIUS_M = 0.45;

    private static final double GRAVITY = 9.80665;
    /** Half the density of air at 15 °C, kg/m³. */
    private static final double HALF_DENSITY = 0.613;
    /** Practice: from above this a bag is always laid. */
    private static final double ALWAYS_ABOVE_M = 1.8;

    private static final int MOST_BAGS = 20;

    /** How the wind takes it: the drag coefficient. */
    public enum Shape {
        HEAD(1.0),
        CLOTH(1.2);

        private final double drag;

        Shape(double drag) {
            this.drag = drag;
        }
    }

    /**
     * What stands there.
     *
     * @param headKg of what is on the stand, kg, 0 or more
     * @param offsetM how far out it is held on an arm, metres, 0 or more
     * @param standKg of the stand, kg, 0 or more
     * @param footRadiusM from its middle to a foot, metres, above 0
     * @param heightM of the middle of what is on it, metres, above 0
     * @param sailM2 of its front, square metres, 0 or more
     */
    public record Standing(
            double headKg,
            double offsetM,
            double standKg,
            double footRadiusM,
            double heightM,
            double sailM2,
            Shape shape) {

        public Standing {
            Checks.notBelow0("headKg", "What is on the stand", headKg, " kg");
            Checks.notBelow0("offsetM", "The way out on the arm", offsetM, " m");
            Checks.notBelow0("standKg", "The stand", standKg, " kg");
            Checks.above0("footRadiusM", "The radius of the feet", footRadiusM, " m");
            Checks.above0("heightM", "The height", heightM, " m");
            Checks.notBelow0("sailM2", "The front", sailM2, " m²");
        }

        private double arm() {
            return headKg * GRAVITY * offsetM;
        }
    }

    /**
     * @param windMs metres per second, 0 or more
     * @param bagKg of one sandbag, kg, above 0
     * @param factor by which the stand has to be safer than just standing, above 0
     * @throws Refusal when 20 bags do not hold it
     */
    public static StandInWind of(Standing what, double windMs, double bagKg, double factor) {
        Checks.notBelow0("windMs", "The wind", windMs, " m/s");
        Checks.above0("bagKg", "A sandbag", bagKg, " kg");
        Checks.above0("factor", "The safety factor", factor, "");
        double sway = HALF_DENSITY * windMs * windMs * what.shape.drag * what.sailM2 * what.heightM;
        double overturning = sway + what.arm();
        double lever = GRAVITY * what.footRadiusM / 2;
        double righting = (what.headKg + what.standKg) * lever;
        double missing = factor * overturning - righting;
        double needed = Math.ceil(missing / (bagKg * lever) * (1 - Checks.LIMIT_SLACK));
        boolean always = what.shape == Shape.CLOTH || what.heightM > ALWAYS_ABOVE_M || what.offsetM > 0;
        double bags = Math.max(always ? 1 : 0, needed);
        if (bags > MOST_BAGS) {
            throw new Refusal(
                    what.arm() > sway ? "offsetM" : "sailM2",
                    "More than %d sandbags would be needed: this is for no stand. %s"
                            .formatted(
                                    MOST_BAGS,
                                    what.arm() > sway
                                            ? "Shorten the arm, or put a counterweight on it."
                                            : "Take a smaller front, a lower stand, or guy it off with a rigger."));
        }
        return new StandInWind(overturning, righting, (int) bags);
    }
}
