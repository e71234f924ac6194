package org.oblume.server.shot;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.units.Phrase;

/**
 * What someone else recorded meanwhile.
 *
 * @param value null when they let it carry again
 * @param say the value in words
 * @param revision to put one's own on top of
 */
record ConflictingValue(
        String placement,
        Attribute attribute,
        String label,
        @Nullable AttributeValue value,
        Phrase say,
        @Nullable Reason reason,
        String author,
        Instant at,
        long revision) {}
