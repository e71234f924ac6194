package org.oblume.core.carry;

import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;

/**
 * A value that somebody wants, tried or kept.
 *
 * @param placement key of the placement
 * @param value the value from here on
 */
public record Change(String placement, AttributeValue value) {

    public Attribute attribute() {
        return Attribute.of(value);
    }

    /** What it is about: a later change of the same replaces an earlier one. */
    public ValueKey key() {
        return new ValueKey(placement, attribute());
    }
}
