package org.oblume.core.units;

import java.util.Locale;
import java.util.OptionalDouble;

/**
 * A correlated colour temperature.
 *
 * @param value kelvin, 1000 to 25000
 */
public record Kelvin(double value) {

    public static final double LOWEST = 1000;
    public static final double HIGHEST = 25000;
    /** Kelvin times mired. */
    public static final double MIRED_PRODUCT = 1e6;

    public Kelvin {
        value = Checks.within("Colour temperature", value, LOWEST, HIGHEST, " K");
    }

    public static Kelvin of(double value) {
        return new Kelvin(value);
    }

    /** Reads {@code 5600}, {@code 5600 K}, {@code 5.6k}. */
    public static Kelvin parse(String text) {
        String bare = Numbers.tidy(text).toLowerCase(Locale.ROOT).replaceFirst(" ?k(elvin)?$", "");
        OptionalDouble read = Numbers.read(bare);
        if (read.isEmpty()) {
            throw new Refusal("“%s” is not a colour temperature: type kelvin such as 4300.".formatted(text));
        }
        double kelvin = read.getAsDouble();
        boolean inThousands = kelvin < 100 && text.toLowerCase(Locale.ROOT).contains("k");
        return new Kelvin(inThousands ? kelvin * 1000 : kelvin);
    }

    /** {@code 1e6 / kelvin}. */
    public double mired() {
        return MIRED_PRODUCT / value;
    }

    /**
     * The colour temperature behind a filter: {@code 1e6 / (1e6/K + shift)}.
     *
     * @throws Refusal when the result is outside 1000 to 25000 K
     */
    public Kelvin shifted(MiredShift shift) {
        double mired = mired() + shift.value();
        if (!isMiredInRange(mired)) {
            throw new Refusal("%s K with %s mired would be outside 1000 to 25000 K: take out a filter."
                    .formatted(Numbers.fixed(value, 0), shift.print()));
        }
        return new Kelvin(MIRED_PRODUCT / mired);
    }

    /** Whether a mired value stands for 1000 to 25000 K. */
    public static boolean isMiredInRange(double mired) {
        return mired >= MIRED_PRODUCT / HIGHEST * (1 - Checks.LIMIT_SLACK)
                && mired <= MIRED_PRODUCT / LOWEST * (1 + Checks.LIMIT_SLACK);
    }

    public String print() {
        return Numbers.fixed(value, 0) + " K";
    }
}
