package org.oblume.core.units;

import java.util.function.Function;

/** A sentence or a part of one, with lengths in metres, and the same in feet and inches. */
public record Phrase(String metric, String imperial) {

    public static Phrase of(String same) {
        return new Phrase(same, same);
    }

    public static Phrase of(Illuminance light) {
        return new Phrase(light.printMetric(), light.printImperial());
    }

    public static Phrase of(Length length) {
        return new Phrase(length.printMetric(), length.printImperial());
    }

    /** A pattern with {@code %s} for each part. */
    public static Phrase format(String pattern, Phrase... parts) {
        return new Phrase(
                pattern.formatted(all(parts, Phrase::metric)), pattern.formatted(all(parts, Phrase::imperial)));
    }

    private static Object[] all(Phrase[] parts, Function<Phrase, String> of) {
        return java.util.Arrays.stream(parts).map(of).toArray();
    }
}
