package org.oblume.core.carry;

import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;

/**
 * One changed value of one placement in one shot. It carries to the shots based on this one until their own knot.
 *
 * @param slate shot it is tied in
 * @param placement key of the placement
 * @param value the value from here on
 * @param attribution who, when and why
 */
public record Knot(Slate slate, String placement, AttributeValue value, Attribution attribution) {

    public Attribute attribute() {
        return Attribute.of(value);
    }

    /** What it ties. */
    public ValueKey key() {
        return new ValueKey(placement, attribute());
    }
}
