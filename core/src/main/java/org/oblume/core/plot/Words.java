package org.oblume.core.plot;

import java.util.function.Function;
import org.oblume.core.units.Length;

/** A sentence or a part of one, with lengths in metres, and the same in feet and inches. */
public record Words(String metric, String imperial) {

    public static Words of(String same) {
        return new Words(same, same);
    }

    public static Words of(AttributeValue value) {
        return new Words(value.say(), value.sayImperial());
    }

    public static Words of(Length length) {
        return new Words(length.printMetric(), length.printImperial());
    }

    /** A pattern with {@code %s} for each part. */
    public static Words format(String pattern, Words... parts) {
        return new Words(pattern.formatted(all(parts, Words::metric)), pattern.formatted(all(parts, Words::imperial)));
    }

    private static Object[] all(Words[] parts, Function<Words, String> of) {
        return java.util.Arrays.stream(parts).map(of).toArray();
    }
}
