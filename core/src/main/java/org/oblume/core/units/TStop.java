package org.oblume.core.units;

import java.util.Locale;
import java.util.OptionalDouble;

/**
 * A lens opening corrected for transmission. The named full stops stand for 2^(n/2) exactly (2.8 means 2^1.5).
 *
 * @param number the plain T number, above 0
 */
public record TStop(double number) {

    /** Named full stops from n = −2 (T0.5) to n = 14 (T128); the number each stands for is 2^(n/2). */
    private static final String[] NAMES = {
        "0.5", "0.7", "1", "1.4", "2", "2.8", "4", "5.6", "8", "11", "16", "22", "32", "45", "64", "90", "128"
    };

    private static final int FIRST = -2;
    private static final int THIRDS = 3;
    private static final String[] FRACTIONS = {"", " ⅓", " ⅔"};

    public TStop {
        if (!(number > 0) || !Double.isFinite(number)) {
            throw new Refusal("A T-stop has to be above 0, such as 2.8.");
        }
    }

    public static TStop of(double number) {
        return new TStop(number);
    }

    /**
     * Reads {@code 5.6}, {@code T5.6}, {@code 5.6 1/3}, {@code 5.6+2/3}, {@code 8-1/3}, {@code 11 minus} (a third
     * less). A named stop is taken exactly; any other number as it is typed.
     */
    public static TStop parse(String text) {
        String bare = Numbers.tidy(text)
                .toLowerCase(Locale.ROOT)
                .replaceFirst("^[tf]/? ?", "")
                .replaceFirst(" ?minus$", "-1/3")
                .replaceFirst(" ?plus$", "+1/3");
        String head = bare;
        double thirds = 0;
        int cut = bare.replaceFirst("[ +-].*$", "").length();
        if (cut < bare.length()) {
            head = bare.substring(0, cut);
            OptionalDouble fraction = Numbers.read(bare.substring(cut));
            if (fraction.isEmpty() || Math.abs(fraction.getAsDouble()) >= 1) {
                throw notAStop(text);
            }
            thirds = fraction.getAsDouble();
        }
        OptionalDouble typed = Numbers.read(head);
        if (typed.isEmpty() || typed.getAsDouble() <= 0) {
            throw notAStop(text);
        }
        return new TStop(exact(typed.getAsDouble()) * Math.pow(2, thirds / 2));
    }

    /** The nearest third by name: {@code T5.6 ⅓}; {@code wider than T0.5} and {@code beyond T128} where stops have no names. */
    public String label() {
        long thirds = Math.round(2 * Math.log(number) / Math.log(2) * THIRDS);
        int n = (int) Math.floorDiv(thirds, THIRDS) - FIRST;
        long rest = Math.floorMod(thirds, THIRDS);
        if (n < 0) {
            return "wider than T" + NAMES[0];
        }
        if (n >= NAMES.length) {
            return "beyond T" + NAMES[NAMES.length - 1];
        }
        return "T" + NAMES[n] + FRACTIONS[(int) rest];
    }

    private static double exact(double typed) {
        for (int i = 0; i < NAMES.length; i++) {
            if (Double.parseDouble(NAMES[i]) == typed) {
                return Math.pow(2, (i + FIRST) / 2.0);
            }
        }
        return typed;
    }

    private static Refusal notAStop(String text) {
        return new Refusal("“%s” is not a T-stop: type 5.6, T5.6, 5.6 1/3 or 8−1/3.".formatted(text));
    }
}
