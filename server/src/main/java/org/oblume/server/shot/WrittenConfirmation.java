package org.oblume.server.shot;

import java.time.Instant;
import java.util.Comparator;
import org.oblume.core.plot.Attribute;

/**
 * Somebody looked at a value, for a file.
 *
 * @param placement key of the thing
 * @param attribute whose value, as it holds in the shot, stood on set
 */
public record WrittenConfirmation(String placement, Attribute attribute, String author, Instant at) {

    static final Comparator<WrittenConfirmation> IN_ORDER = Comparator.comparing(WrittenConfirmation::at)
            .thenComparing(WrittenConfirmation::placement)
            .thenComparing(WrittenConfirmation::attribute);
}
