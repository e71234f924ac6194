package org.oblume.core.units;

import java.util.OptionalDouble;

/**
 * A difference of light in stops: {@code stops = log2(ratio)}. Positive is more light when it is a change, and
 * light lost when it is what a filter costs.
 *
 * @param value stops, any finite number
 */
public record Stops(double value) implements Comparable<Stops> {

    public static final Stops NONE = new Stops(0);
    private static final double LOG10_OF_2 = Math.log10(2);
    private static final int THIRDS = 3;

    public Stops {
        Checks.finite("Stops", value);
    }

    public static Stops of(double value) {
        return new Stops(value);
    }

    /** @param ratio light after over light before, above 0 */
    public static Stops fromRatio(double ratio) {
        if (!(ratio > 0) || !Double.isFinite(ratio)) {
            throw new Refusal("A ratio of light has to be above 0.");
        }
        return new Stops(Math.log(ratio) / Math.log(2));
    }

    /** @param density neutral density D, 0 or more; {@code stops = D / log10(2)}, so 0.3 costs 0.9966 stop */
    public static Stops fromDensity(double density) {
        return new Stops(density / LOG10_OF_2);
    }

    /** Reads {@code 1 1/3}, {@code -2/3}, {@code 0.5}, {@code 1⅓}, each with or without the word stop. */
    public static Stops parse(String text) {
        String bare = text.strip().replaceFirst("(?i)\\s*stops?$", "");
        OptionalDouble read = Numbers.read(bare);
        if (read.isEmpty()) {
            throw new Refusal("“%s” is not a number of stops: type stops such as 1 1/3, −2/3 or 0.5.".formatted(text));
        }
        return new Stops(read.getAsDouble());
    }

    /** Part of the light that remains when these stops are lost: {@code 2^-stops}. */
    public double transmission() {
        return Math.pow(2, -value);
    }

    /** Light after over light before when these stops are gained: {@code 2^stops}. */
    public double ratio() {
        return Math.pow(2, value);
    }

    public Stops plus(Stops other) {
        return new Stops(value + other.value);
    }

    /** To the nearest third, as a crew says it: {@code −2 1/3}, {@code 2/3}, {@code 0}. */
    public String inThirds() {
        long thirds = Math.round(Math.abs(value) * THIRDS);
        long whole = thirds / THIRDS;
        long rest = thirds % THIRDS;
        String sign = value < 0 && thirds > 0 ? "−" : "";
        if (rest == 0) {
            return sign + whole;
        }
        return sign + (whole == 0 ? "" : whole + " ") + rest + "/" + THIRDS;
    }

    /** To the tenth, as a meter says it: {@code −0.6}. */
    public String inTenths() {
        return Numbers.fixed(value, 1);
    }

    @Override
    public int compareTo(Stops other) {
        return Double.compare(value, other.value);
    }
}
