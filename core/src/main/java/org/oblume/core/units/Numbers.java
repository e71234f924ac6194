package org.oblume.core.units;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Numbers as they are spoken and chalked: {@code 2}, {@code -0.5}, {@code 1 1/3}, {@code 1⅓}, {@code 5+2/3}. */
public final class Numbers {

    private static final Map<String, String> GLYPHS = Map.of(
            "½", " 1/2", "⅓", " 1/3", "⅔", " 2/3", "¼", " 1/4", "¾", " 3/4", "⅙", " 1/6", "⅚", " 5/6", "⅛", " 1/8");
    private static final String DECIMAL = "\\d{1,9}(?:[.,]\\d{1,9})?";
    private static final Pattern MIXED = Pattern.compile("(?<sign>[+-])? ?(?:(?<whole>" + DECIMAL
            + ")(?: ?(?<join>[+-]) ?| |$))?" + "(?:(?<over>\\d{1,3})/(?<under>\\d{1,3}))?");

    private static final Pattern WITH_UNIT =
            Pattern.compile("(?i)(?<figure>.*?\\d) ?(?:(?<kilo>k)?(?:wh|w|v|a|fps|°|deg|%|ire))?");

    private Numbers() {}

    /**
     * Reads a plain figure such as {@code 54}, {@code 54 %}, {@code 1/2}, {@code 1.2 kW}: a unit behind it is passed over,
     * a k before the unit counts thousands.
     */
    public static double parse(String text) {
        Matcher m = WITH_UNIT.matcher(tidy(text));
        OptionalDouble read = m.matches() ? read(m.group("figure")) : OptionalDouble.empty();
        if (read.isEmpty()) {
            throw new Refusal("“%s” is not a number: type one such as 54, 0.5 or 1/2.".formatted(text));
        }
        return m.group("kilo") == null ? read.getAsDouble() : 1000 * read.getAsDouble();
    }

    /**
     * Reads a whole number such as {@code 2}; it may be negative.
     *
     * @throws Refusal when it is none, or not a whole one
     */
    public static int parseWhole(String text) {
        OptionalDouble read = read(text);
        if (read.isEmpty() || read.getAsDouble() != Math.rint(read.getAsDouble())) {
            throw new Refusal("“%s” is not a whole number: type one such as 2.".formatted(text));
        }
        return (int) read.getAsDouble();
    }

    /** The spoken number, or empty when the text is not one. A whole with a minus fraction subtracts: 8-1/3. */
    public static OptionalDouble read(String text) {
        String tidy = tidy(text);
        Matcher m = MIXED.matcher(tidy);
        if (tidy.isEmpty()
                || !m.matches()
                || (m.group("whole") == null && m.group("over") == null)
                || (m.group("join") != null && m.group("over") == null)) {
            return OptionalDouble.empty();
        }
        double whole = m.group("whole") == null
                ? 0
                : Double.parseDouble(m.group("whole").replace(',', '.'));
        double fraction = 0;
        if (m.group("over") != null) {
            double under = Double.parseDouble(m.group("under"));
            if (under == 0) {
                return OptionalDouble.empty();
            }
            fraction = Double.parseDouble(m.group("over")) / under;
        }
        double size = "-".equals(m.group("join")) ? whole - fraction : whole + fraction;
        return OptionalDouble.of("-".equals(m.group("sign")) ? -size : size);
    }

    /** One kind of minus, one kind of space, vulgar fractions spelled out. */
    static String tidy(String text) {
        String tidy = text;
        for (Map.Entry<String, String> glyph : GLYPHS.entrySet()) {
            tidy = tidy.replace(glyph.getKey(), glyph.getValue());
        }
        return tidy.replace('−', '-')
                .replace('⁄', '/')
                .replaceAll("[\\s\\u00a0]+", " ")
                .strip();
    }

    /** At most six significant digits, no exponent, no trailing zeros. */
    public static String plain(double value) {
        if (!Double.isFinite(value)) {
            return "?";
        }
        BigDecimal rounded = new BigDecimal(value).round(new MathContext(6)).stripTrailingZeros();
        return (rounded.signum() == 0 ? "0" : rounded.toPlainString()).replace('-', '−');
    }

    /** A fixed number of decimals, with U+2212 for minus and never a negative zero. */
    public static String fixed(double value, int decimals) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
        return (rounded.signum() == 0 ? rounded.abs() : rounded).toPlainString().replace('-', '−');
    }
}
