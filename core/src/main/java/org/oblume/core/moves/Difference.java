package org.oblume.core.moves;

import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;

/**
 * One value that is not the same on two sides.
 *
 * @param from the placement on the first side, or null when that scene does not have it
 * @param to on the second
 * @param before its value on the first side, or null
 * @param after on the second
 * @param words what changes: {@code 0.80 m closer}, {@code 64 to 45 %}
 */
public record Difference(
        @Nullable Placement from,
        @Nullable Placement to,
        Attribute attribute,
        @Nullable AttributeValue before,
        @Nullable AttributeValue after,
        Phrase words) {

    public Difference {
        if (from == null && to == null) {
            throw new IllegalArgumentException("A difference is of something that is placed.");
        }
    }

    /** What it is about, as the second side has it where it does. */
    public Placement placement() {
        return to != null ? to : java.util.Objects.requireNonNull(from);
    }
}
