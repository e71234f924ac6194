package org.oblume.core.units;

import java.util.OptionalDouble;

/**
 * Tint as the distance from the Planckian locus in CIE 1960 u,v. Positive is green, negative magenta.
 *
 * @param value Duv, −0.05 to 0.05
 */
public record Duv(double value) {

    public static final double LIMIT = 0.05;
    private static final double FULL_SHEET_DUV = 0.020;
    private static final double FULL_SHEET_CC = 30;
    public static final Duv NEUTRAL = new Duv(0);

    public Duv {
        value = Checks.within("Tint (Duv)", value, -LIMIT, LIMIT, "");
    }

    /** To the fourth decimal, without trailing zeros: {@code 0.002}. */
    public static String print(double duv) {
        return Numbers.plain(Math.round(duv * 1e4) / 1e4);
    }

    public static Duv of(double value) {
        return new Duv(value);
    }

    /** From a meter or a fixture that reads in CC of green: CC30 is Duv 0.020 (nominal, model). Negative is magenta. */
    public static Duv ofCc(double cc) {
        return new Duv(cc * FULL_SHEET_DUV / FULL_SHEET_CC);
    }

    /** Reads {@code +0.004}, {@code -0.01}, {@code 0.004 green}, {@code 0.01 magenta}, {@code 15 CC green}, {@code CC30 magenta}. */
    public static Duv parse(String text) {
        String bare = Numbers.tidy(text).replaceFirst("(?i) ?(duv|green)$", "");
        boolean magenta = bare.matches("(?i).*magenta$");
        String figure = magenta ? bare.replaceFirst("(?i) ?magenta$", "") : bare;
        boolean cc = figure.matches("(?i)(cc.*|.*cc)");
        OptionalDouble read = Numbers.read(cc ? figure.replaceFirst("(?i)^cc ?| ?cc$", "") : figure);
        if (read.isEmpty()) {
            throw new Refusal(
                    "“%s” is not a tint: type Duv such as 0.004 (green) or −0.004 (magenta).".formatted(text));
        }
        double green = magenta ? -Math.abs(read.getAsDouble()) : read.getAsDouble();
        return cc ? ofCc(green) : new Duv(green);
    }
}
