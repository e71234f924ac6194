package org.oblume.core.units;

import java.util.OptionalDouble;

/**
 * A dimmer level as it stands on the head or the desk.
 *
 * @param value percent, 0 to 100
 */
public record Percent(double value) {

    private static final double FULL = 100;

    public Percent {
        value = Checks.within("Level", value, 0, FULL, " %");
    }

    public static Percent of(double value) {
        return new Percent(value);
    }

    /** Reads {@code 45}, {@code 45%}, {@code 12.5 %}, {@code full}, {@code out}. */
    public static Percent parse(String text) {
        String bare = text.strip().replaceFirst("\\s*%$", "");
        if (bare.equalsIgnoreCase("full")) {
            return new Percent(FULL);
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
