package org.oblume.core.plot;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Duv;

/**
 * What is known of a light beyond its size: what it gives, how it dims, how it wants to be kept.
 *
 * @param optics what it gives at full
 * @param round whether its emitter is a disc as wide as the piece, or a rectangle
 * @param emitterHeightM height of a rectangle, metres, above 0 to 50; not used when it is round
 * @param curve how its output follows its level
 * @param lowestPercent lowest level that it holds steadily, 0 to 100
 * @param tintReach how far it can be dialled to green and to magenta, Duv, 0 to 0.05
 * @param upkeep what it weighs, draws and minds
 * @param allRound a lamp that shines to all sides of itself, or null for one with a front
 * @param frontWidthM width of the front that a clipped item covers, when it is not the emitter, metres, above 0 to 50, or null
 */
public record Lamp(
        Optics optics,
        boolean round,
        double emitterHeightM,
        LevelCurve curve,
        double lowestPercent,
        double tintReach,
        Upkeep upkeep,
        @Nullable AllRound allRound,
        @Nullable Double frontWidthM) {

    private static final double LARGEST_M = 50;

    /** What shines to all sides: a sphere, or a cylinder that lies level, square to the way it is aimed. */
    public enum AllRound {
        BULB,
        TUBE
    }

    public Lamp(
            Optics optics,
            boolean round,
            double emitterHeightM,
            LevelCurve curve,
            double lowestPercent,
            double tintReach,
            Upkeep upkeep) {
        this(optics, round, emitterHeightM, curve, lowestPercent, tintReach, upkeep, null, null);
    }

    public Lamp {
        if (frontWidthM != null) {
            Checks.above0("frontWidthM", "The front's width", frontWidthM, " m");
            Checks.within("frontWidthM", "The front's width", frontWidthM, 0, LARGEST_M, " m");
        }
        Checks.above0("emitterHeightM", "The emitter's height", emitterHeightM, " m");
        Checks.within("emitterHeightM", "The emitter's height", emitterHeightM, 0, LARGEST_M, " m");
        Checks.within("lowestPercent", "The lowest level", lowestPercent, 0, 100, " %");
        Checks.within("tintReach", "The tint's reach", tintReach, 0, Duv.LIMIT, " Duv");
    }

    /** The same light with an emitter of another height; its candela stay as they were measured. */
    Lamp asHighAs(double metres) {
        return new Lamp(optics, round, metres, curve, lowestPercent, tintReach, upkeep, allRound, frontWidthM);
    }

    /** Whether it shines to all sides: it is said, or its beam is a whole half turn to each side. */
    public Optional<AllRound> everyWay() {
        return allRound != null
                ? Optional.of(allRound)
                : optics.isAllRound() ? Optional.of(AllRound.BULB) : Optional.empty();
    }

    /**
     * Radius of a disc of the emitter's area, metres: {@code r = √(area/π)}.
     *
     * @param widthM of the emitter
     */
    public double radiusM(double widthM) {
        return round ? widthM / 2 : Math.sqrt(widthM * emitterHeightM / Math.PI);
    }

    /**
     * What a light weighs, draws and minds.
     *
     * @param idleWatts drawn when it is on and dark, 0 or more
     * @param batteryWh of the battery it can run on, watt-hours, or null when it needs the mains
     * @param weightKg 0 or more
     * @param noise as one hears it: {@code silent}, {@code fan}, {@code hum}
     * @param burn which way it may point
     * @param safeDistanceM to cloth and anything that burns, metres, 0 or more
     * @param modes its control modes and what their slots are: {@code 8-bit white: level, cct, tint; 16-bit white: level 16, cct 16}
     * @param menu settings that spoil a match when they reset: {@code curve, smoothing, fan}
     * @param warmUpS until a discharge lamp gives all of its light, seconds, above 0; null for a light that is there at once
     */
    public record Upkeep(
            double idleWatts,
            @Nullable Double batteryWh,
            double weightKg,
            String noise,
            Burn burn,
            double safeDistanceM,
            String modes,
            String menu,
            @Nullable Double warmUpS) {

        private static final int LONGEST_TEXT = 600;
        private static final double LONGEST_WARM_UP_S = 3600;
        private static final double MOST = 1e6;

        public Upkeep {
            Checks.within("idleWatts", "The idle power", idleWatts, 0, MOST, " W");
            Checks.within("weightKg", "The weight", weightKg, 0, MOST, " kg");
            Checks.within("safeDistanceM", "The safe distance", safeDistanceM, 0, 100, " m");
            if (warmUpS != null) {
                Checks.within("warmUpS", "The time to warm up", warmUpS, 1, LONGEST_WARM_UP_S, " s");
            }
            if (batteryWh != null) {
                Checks.above0("batteryWh", "The battery", batteryWh, " Wh");
            }
            for (String text : new String[] {noise, modes, menu}) {
                Checks.within("The length of a fixture's notes", text.length(), 0, LONGEST_TEXT, "");
            }
        }
    }

    /** Which way a lamp may point while it burns. */
    public enum Burn {
        ANY(90, 90),
        NOT_ABOVE_45(90, 45),
        NEAR_LEVEL(30, 30);

        private final double downDeg;
        private final double upDeg;

        Burn(double downDeg, double upDeg) {
            this.downDeg = downDeg;
            this.upDeg = upDeg;
        }

        /** @param tiltDeg down is negative */
        public boolean allows(double tiltDeg) {
            return tiltDeg >= -downDeg - 1e-9 && tiltDeg <= upDeg + 1e-9;
        }

        /** {@code down 90° to up 45°}. */
        public String say() {
            return "down %.0f° to up %.0f°".formatted(downDeg, upDeg);
        }
    }
}
