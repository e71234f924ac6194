package org.oblume.core.exposure;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;
import org.oblume.core.units.TStop;

/**
 * Lit side to shadow side. Which two lights are compared has to be said beside it: crews differ.
 *
 * @param ratio above 0; below 1 when the "lit" side is the darker one
 */
public record ContrastRatio(double ratio) {

    public ContrastRatio {
        Checks.above0(null, "A ratio", ratio, "");
    }

    /**
     * From two incident readings.
     *
     * @param lit lux, above 0
     * @param shadow lux, above 0
     */
    public static ContrastRatio fromLux(double lit, double shadow) {
        return new ContrastRatio(Checks.above0("lit", "The lit reading", lit, "")
                / Checks.above0("shadow", "The shadow reading", shadow, ""));
    }

    /** From two meter readings: a stop is a doubling, so {@code (N₁/N₂)²}. */
    public static ContrastRatio fromTStops(TStop lit, TStop shadow) {
        return new ContrastRatio(Math.pow(lit.number() / shadow.number(), 2));
    }

    /**
     * From two levels on the monitor.
     *
     * @param lit percent of the video range
     * @param shadow percent of the video range
     * @throws Refusal when the curve tells no light of a reading
     */
    public static ContrastRatio fromSignal(double lit, double shadow, SignalCurve curve) {
        return new ContrastRatio(light("lit", lit, curve) / light("shadow", shadow, curve));
    }

    /**
     * Key alone to fill alone.
     *
     * @param keyLux from the key, lux, above 0
     * @param fillLux from the fill, lux, above 0
     */
    public static ContrastRatio keyToFill(double keyLux, double fillLux) {
        return new ContrastRatio(key(keyLux) / fill(fillLux));
    }

    /** Lit side to shadow side of the same two lights, the fill reaching both: {@code (K + F) : F}. */
    public static ContrastRatio litToShadow(double keyLux, double fillLux) {
        return new ContrastRatio((key(keyLux) + fill(fillLux)) / fillLux);
    }

    public Stops stops() {
        return Stops.fromRatio(ratio);
    }

    private static double key(double lux) {
        return Checks.above0("keyLux", "The key", lux, " lux");
    }

    private static double fill(double lux) {
        return Checks.above0("fillLux", "The fill", lux, " lux");
    }

    private static double light(String field, double percent, SignalCurve curve) {
        double light = curve.light(Checks.finite(field, "A signal reading", percent));
        if (!(light > 0) || !Double.isFinite(light)) {
            throw new Refusal(field, "This curve tells no light of that signal: take a reading above its black.");
        }
        return light;
    }
}
