package org.oblume.core.units;

import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A length, stored in metres and typed or shown in metres or in feet and inches (1 ft = 0.3048 m exactly).
 *
 * @param metres any finite number
 */
public record Length(double metres) implements Comparable<Length> {

    public static final double METRES_PER_FOOT = 0.3048;
    private static final double METRES_PER_INCH = METRES_PER_FOOT / 12;
    private static final int QUARTERS_PER_FOOT = 48;
    private static final Pattern FEET = Pattern.compile("(?<sign>-)?(?:(?<feet>[\\d./ ]+?) ?(?:'|’|′|ft|feet|foot) ?)?"
            + "(?:(?<inches>[\\d./ ]+?) ?(?:\"|”|″|''|in|inch|inches))?");

    public Length {
        Checks.finite("A length", metres);
    }

    public static Length ofMetres(double metres) {
        return new Length(metres);
    }

    public static Length ofFeet(double feet) {
        return new Length(feet * METRES_PER_FOOT);
    }

    /** The same, but a bare number is in feet: for a crew that works in them. */
    public static Length parseInFeet(String text) {
        OptionalDouble bare = Numbers.read(text);
        return bare.isPresent() ? ofFeet(bare.getAsDouble()) : parse(text);
    }

    /** Reads {@code 1.95}, {@code 1.95 m}, {@code 195 cm}, {@code 950 mm}, {@code 6'5"}, {@code 6 ft 5 1/2 in}. */
    public static Length parse(String text) {
        String tidy = Numbers.tidy(text).toLowerCase(java.util.Locale.ROOT);
        for (Unit unit : Unit.values()) {
            if (tidy.endsWith(unit.suffix)) {
                OptionalDouble read = Numbers.read(tidy.substring(0, tidy.length() - unit.suffix.length()));
                if (read.isPresent()) {
                    return new Length(read.getAsDouble() * unit.metres);
                }
            }
        }
        Matcher m = FEET.matcher(tidy);
        if (m.matches() && (m.group("feet") != null || m.group("inches") != null)) {
            OptionalDouble feet = m.group("feet") == null ? OptionalDouble.of(0) : Numbers.read(m.group("feet"));
            OptionalDouble inches = m.group("inches") == null ? OptionalDouble.of(0) : Numbers.read(m.group("inches"));
            if (feet.isPresent() && inches.isPresent()) {
                double size = feet.getAsDouble() * METRES_PER_FOOT + inches.getAsDouble() * METRES_PER_INCH;
                return new Length(m.group("sign") == null ? size : -size);
            }
        }
        throw new Refusal(
                "“%s” is not a length: type metres such as 1.95, or feet and inches such as 6'5\".".formatted(text));
    }

    /** Metres to the centimetre: {@code 2.14 m}. */
    public String printMetric() {
        return Numbers.fixed(metres, 2) + " m";
    }

    /** As {@link #printMetric()}, a length below a metre in whole millimetres: {@code 38 mm}. For the width of an edge or a sheet. */
    public String printMetricWidth() {
        return metres < 1 ? Math.round(metres * 1000) + " mm" : printMetric();
    }

    /** Feet and inches to the nearest quarter inch: {@code 7′ 0 1/4″}. */
    public String printImperial() {
        long quarters = Math.round(Math.abs(metres) / METRES_PER_FOOT * QUARTERS_PER_FOOT);
        long feet = quarters / QUARTERS_PER_FOOT;
        long inches = quarters % QUARTERS_PER_FOOT / 4;
        String fraction =
                switch ((int) (quarters % 4)) {
                    case 1 -> " 1/4";
                    case 2 -> " 1/2";
                    case 3 -> " 3/4";
                    default -> "";
                };
        return (metres < 0 && quarters > 0 ? "−" : "") + feet + "′ " + inches + fraction + "″";
    }

    /** For a sentence: whole centimetres below a metre, {@code 7 cm}; the same in feet and inches. */
    public Phrase small() {
        return new Phrase(
                Math.abs(metres) < 1 ? "%d cm".formatted(Math.round(metres * 100)) : printMetric(), printImperial());
    }

    @Override
    public int compareTo(Length other) {
        return Double.compare(metres, other.metres);
    }

    /** Longest suffix first, so that "cm" is not read as "m". A bare number is metres. */
    private enum Unit {
        CENTIMETRE("cm", 0.01),
        MILLIMETRE("mm", 0.001),
        METRE("m", 1),
        BARE("", 1);

        private final String suffix;
        private final double metres;

        Unit(String suffix, double metres) {
            this.suffix = suffix;
            this.metres = metres;
        }
    }
}
