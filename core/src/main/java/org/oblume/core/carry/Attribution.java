package org.oblume.core.carry;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;

/**
 * Who tied a knot, when and why.
 *
 * @param reason why; null only in a shot that is based on nothing
 * @param note in the author's own words, or null
 * @param author who
 * @param at when
 * @param revision counts the changes of this value in this shot, 1 for the first
 */
public record Attribution(@Nullable Reason reason, @Nullable String note, String author, Instant at, long revision) {

    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_NOTE = 500;

    public Attribution {
        author = Checks.text("The author's name", author, LONGEST_NAME);
        note = note == null || note.isBlank() ? null : Checks.prose("The note", note, LONGEST_NOTE);
    }
}
