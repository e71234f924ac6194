package org.oblume.core.units;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A sentence or a part of one, with lengths and light in metric units, and the same in the units of a crew that works in feet.
 *
 * @param metric lengths in metres, light in lux
 * @param imperial lengths in feet and inches, light in foot-candles
 */
public record Phrase(String metric, String imperial) {

    /** What is the same in both. */
    public static Phrase of(String same) {
        return new Phrase(same, same);
    }

    public static Phrase of(Illuminance light) {
        return new Phrase(light.printMetric(), light.printImperial());
    }

    public static Phrase of(Length length) {
        return new Phrase(length.printMetric(), length.printImperial());
    }

    /** The width of an edge, in metres: in millimetres below a metre. */
    public static Phrase width(double metres) {
        Length length = Length.ofMetres(metres);
        return new Phrase(length.printMetricWidth(), length.printImperial());
    }

    /** A length in metres. */
    public static Phrase metres(double metres) {
        return of(Length.ofMetres(metres));
    }

    /** A pattern as of {@link String#format}; a phrase among its parts is told in each system's own words, whatever else in both. */
    public static Phrase format(String pattern, Object... parts) {
        return new Phrase(filled(pattern, parts, Phrase::metric), filled(pattern, parts, Phrase::imperial));
    }

    /** One after the other, with the same between each two. */
    public static Phrase joined(String between, List<Phrase> parts) {
        return new Phrase(
                parts.stream().map(Phrase::metric).collect(Collectors.joining(between)),
                parts.stream().map(Phrase::imperial).collect(Collectors.joining(between)));
    }

    private static String filled(String pattern, Object[] parts, Function<Phrase, String> told) {
        return pattern.formatted(Arrays.stream(parts)
                .map(part -> part instanceof Phrase phrase ? told.apply(phrase) : part)
                .toArray());
    }
}
