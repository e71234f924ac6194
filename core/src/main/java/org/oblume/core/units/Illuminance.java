package org.oblume.core.units;

import java.util.Locale;
import java.util.OptionalDouble;

/**
 * Light falling on a surface, stored in lux and typed or shown in lux or foot-candles (1 fc = 10.76391 lx).
 *
 * @param lux 0 or more
 */
public record Illuminance(double lux) {

    public static final double LUX_PER_FOOTCANDLE = 10.76391;

    public Illuminance {
        Checks.notBelow0(null, "Illuminance", lux, " lux");
    }

    public static Illuminance ofLux(double lux) {
        return new Illuminance(lux);
    }

    public static Illuminance ofFootcandles(double footcandles) {
        return new Illuminance(footcandles * LUX_PER_FOOTCANDLE);
    }

    /** The same, but a bare number is in foot-candles. */
    public static Illuminance parseInFootcandles(String text) {
        OptionalDouble bare = Numbers.read(text);
        return bare.isPresent() ? ofFootcandles(bare.getAsDouble()) : parse(text);
    }

    /** Reads {@code 970}, {@code 970 lux}, {@code 90 fc}; a bare number is in lux. */
    public static Illuminance parse(String text) {
        String bare = Numbers.tidy(text).toLowerCase(Locale.ROOT);
        boolean footcandles = bare.matches(".*(fc|foot-?candles?)$");
        OptionalDouble read = Numbers.read(bare.replaceFirst(" ?(lux|lx|fc|foot-?candles?)$", ""));
        if (read.isEmpty()) {
            throw new Refusal("“%s” is not a light reading: type lux such as 970, or foot-candles such as 90 fc."
                    .formatted(text));
        }
        return footcandles ? ofFootcandles(read.getAsDouble()) : ofLux(read.getAsDouble());
    }

    public double footcandles() {
        return lux / LUX_PER_FOOTCANDLE;
    }

    /** {@code 970 lux}, with a decimal below 100. */
    public String printMetric() {
        return figure(lux) + " lux";
    }

    /** {@code 90 fc}, with a decimal below 100. */
    public String printImperial() {
        return figure(footcandles()) + " fc";
    }

    private static String figure(double value) {
        return Numbers.fixed(value, value < 100 ? 1 : 0);
    }
}
