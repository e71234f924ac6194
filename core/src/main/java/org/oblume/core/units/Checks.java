package org.oblume.core.units;

/** Range checks that answer with a sentence. A value at a limit is inside, with 1e-9 relative slack. */
public final class Checks {

    /** Relative slack at a computed limit (formulas, "Limits"). */
    public static final double LIMIT_SLACK = 1e-9;

    private Checks() {
    }

    /** @return the value, when it is finite and between the limits; otherwise a {@link Refusal} that says the range */
    public static double within(String what, double value, double low, double high, String unit) {
        double slack = LIMIT_SLACK * Math.max(1, Math.max(Math.abs(low), Math.abs(high)));
        if (!(value >= low - slack && value <= high + slack)) {
            throw new Refusal("%s %s%s is out of range: give %s to %s%s.".formatted(
                    what, Numbers.plain(value), unit, Numbers.plain(low), Numbers.plain(high), unit));
        }
        return Math.min(high, Math.max(low, value));
    }

    /** @return the value, when it is a finite number */
    public static double finite(String what, double value) {
        if (!Double.isFinite(value)) {
            throw new Refusal("%s has to be a number.".formatted(what));
        }
        return value;
    }

    /** @return the trimmed text, when there is some and it is not longer than the limit */
    public static String text(String what, String text, int longest) {
        String trimmed = text.strip();
        if (trimmed.isEmpty()) {
            throw new Refusal("%s is empty: type a few words.".formatted(what));
        }
        if (trimmed.length() > longest) {
            throw new Refusal("%s has %d characters: keep it to %d.".formatted(what, trimmed.length(), longest));
        }
        return trimmed;
    }
}
