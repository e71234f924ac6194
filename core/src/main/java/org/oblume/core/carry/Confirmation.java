package org.oblume.core.carry;

import java.time.Instant;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.units.Checks;

/**
 * Somebody looked: in this shot the value is what stands on set. It changes nothing, and says nothing of any other value.
 *
 * @param slate shot that was walked
 * @param placement key of the thing
 * @param value what was looked at
 * @param author who looked
 * @param at when
 */
public record Confirmation(Slate slate, String placement, AttributeValue value, String author, Instant at) {

    private static final int LONGEST_NAME = 60;

    public Confirmation {
        author = Checks.text("The name of who looked", author, LONGEST_NAME);
    }

    public ValueKey key() {
        return new ValueKey(placement, Attribute.of(value));
    }
}
