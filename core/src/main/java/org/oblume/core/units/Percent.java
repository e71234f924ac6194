package org.oblume.core.units;

import java.util.OptionalDouble;

/**
 * A dimmer level as it stands on the head or the desk.
 *
 * @param value percent, 0 to 100
 */
public record Percent(double value) {

    private static final double WHOLE = 100;

    /** A light at its most. */
    public static final Percent FULL = new Percent(WHOLE);

    public Percent {
        value = Checks.within("Level", value, 0, WHOLE, " %");
    }

    public static Percent of(double value) {
        return new Percent(value);
    }

    /** From a part of full, 0 to 1. */
    public static Percent ofFraction(double fraction) {
        return new Percent(fraction * WHOLE);
    }

    /** As a part of full, 0 to 1. */
    public double fraction() {
        return value / WHOLE;
    }

    /** Reads {@code 45}, {@code 45%}, {@code 12.5 %}, {@code full}, {@code out}. */
    public static Percent parse(String text) {
        String bare = text.strip().replaceFirst("\\s*%$", "");
        if (bare.equalsIgnoreCase("full")) {
            return FULL;
        }
        if (bare.equalsIgnoreCase("out")) {
            return new Percent(0);
        }
        OptionalDouble read = Numbers.read(bare);
        if (read.isEmpty()) {
            throw new Refusal("“%s” is not a level: type percent such as 45.".formatted(text));
        }
        return new Percent(read.getAsDouble());
    }
}
