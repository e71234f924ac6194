package org.oblume.server.shot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.ValueKey;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;

/**
 * A change someone asks for.
 *
 * @param value the value from here on, or null to let it carry again
 * @param expectedRevision the revision the change was made on, 0 when nothing was ever tied there; null for a change that takes the
 *     place of whatever holds now, because it was checked against the record in another way
 */
public record KnotChange(
        String placement,
        Attribute attribute,
        @Nullable AttributeValue value,
        @Nullable Reason reason,
        @Nullable String note,
        String author,
        @Nullable Long expectedRevision) {

    /** What it is about. */
    public ValueKey key() {
        return new ValueKey(placement, attribute);
    }
}
