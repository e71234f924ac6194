package org.oblume.core.moves;

import java.util.function.Function;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.units.Length;

/** A sentence or a part of one, with lengths in metres, and the same in feet and inches. */
public record Words(String metric, String imperial) {

    static Words of(String same) {
        return new Words(same, same);
    }

    static Words of(AttributeValue value) {
        return new Words(value.say(), value.sayImperial());
    }

    static Words of(Length length) {
        return new Words(length.printMetric(), length.printImperial());
    }

    /** A pattern with {@code %s} for each part. */
    static Words format(String pattern, Words... parts) {
        return new Words(pattern.formatted(all(parts, Words::metric)), pattern.formatted(all(parts, Words::imperial)));
    }

    private static Object[] all(Words[] parts, Function<Words, String> of) {
        return java.util.Arrays.stream(parts).map(of).toArray();
    }
}
