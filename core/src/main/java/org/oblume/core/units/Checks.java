package org.oblume.core.units;

import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Range checks that answer with a sentence. A value at a limit is inside, with 1e-9 relative slack. */
public final class Checks {

    private static final Pattern LINE_ENDS = Pattern.compile("[\\r\\n\\t\\x{2028}\\x{2029}]+");
    /** Control characters but for the ends of lines. */
    private static final Pattern UNSEEN = Pattern.compile("[\\p{Cc}&&[^\\r\\n\\t]]");

    /** Relative slack at a computed limit (formulas, "Limits"). */
    public static final double LIMIT_SLACK = 1e-9;

    public static final String METRES = " m";

    private Checks() {}

    /** @return the value, when it is finite and between the limits; otherwise a {@link Refusal} that says the range */
    public static double within(String what, double value, double low, double high, String unit) {
        return within(null, what, value, low, high, unit);
    }

    /** The same, naming the input at fault. */
    public static double within(
            @Nullable String field, String what, double value, double low, double high, String unit) {
        if (!(value >= low - LIMIT_SLACK * Math.abs(low) && value <= high + LIMIT_SLACK * Math.abs(high))) {
            throw new Refusal(
                    field,
                    Phrase.format(
                            "%s %s is out of range: give %s to %s.",
                            what, figure(value, unit), bare(low, unit), figure(high, unit)));
        }
        return Math.min(high, Math.max(low, value));
    }

    /** @return the value, when it is a finite number */
    public static double finite(String what, double value) {
        return finite(null, what, value);
    }

    /** The same, naming the input at fault. */
    public static double finite(@Nullable String field, String what, double value) {
        if (!Double.isFinite(value)) {
            throw new Refusal(field, "%s has to be a number.".formatted(what));
        }
        return value;
    }

    /** @return the value, when it is finite and above 0 */
    public static double above0(@Nullable String field, String what, double value, String unit) {
        if (!(value > 0) || !Double.isFinite(value)) {
            throw new Refusal(field, Phrase.format("%s %s has to be above 0.", what, figure(value, unit)));
        }
        return value;
    }

    /** @return the value, when it is finite and 0 or more */
    public static double notBelow0(@Nullable String field, String what, double value, String unit) {
        if (!(value >= 0) || !Double.isFinite(value)) {
            throw new Refusal(field, Phrase.format("%s %s has to be 0 or more.", what, figure(value, unit)));
        }
        return value;
    }

    /** @return the value, when it is above 0 to 1 */
    public static double fraction(@Nullable String field, String what, double value) {
        return within(field, what, above0(field, what, value, ""), 0, 1, "");
    }

    /** @return the text in one line, without signs that nobody sees, when there is some and it is not longer than the limit */
    public static String text(String what, String text, int longest) {
        return prose(what, LINE_ENDS.matcher(text).replaceAll(" "), longest);
    }

    /** @return the text, of one line or several, without signs that nobody sees, when there is some and it is not longer than the limit */
    public static String prose(String what, String text, int longest) {
        String trimmed = UNSEEN.matcher(text).replaceAll("").strip();
        if (trimmed.isEmpty()) {
            throw new Refusal("%s is empty: type a few words.".formatted(what));
        }
        if (trimmed.length() > longest) {
            throw new Refusal("%s has %d characters: keep it to %d.".formatted(what, trimmed.length(), longest));
        }
        return trimmed;
    }

    /** A figure with its unit; metres are told in feet and inches too. */
    private static Phrase figure(double value, String unit) {
        String metric = Numbers.plain(value) + unit;
        return unit.equals(METRES) && Double.isFinite(value)
                ? new Phrase(metric, Length.ofMetres(value).printImperial())
                : Phrase.of(metric);
    }

    /** The first of two figures with one unit: {@code 1} of {@code 1 to 60 m}. */
    private static Phrase bare(double value, String unit) {
        return new Phrase(
                Numbers.plain(value),
                figure(value, unit.equals(METRES) ? METRES : "").imperial());
    }
}
