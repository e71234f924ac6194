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

    /** Whether it is about the same value of the same placement. */
    public boolean replaces(Change other) {
        return placement.equals(other.placement) && attribute() == other.attribute();
    }
}
