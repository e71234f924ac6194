package org.oblume.server.shot;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.units.Phrase;

/**
 * A change of the record that was made once.
 *
 * @param event names it, to go back to
 * @param from in words, or null when nothing was recorded before
 * @param to in words, or null when the value carries again from there
 * @param importer who brought it in from a file, which names author and time; null for what was recorded here
 * @param kind what was done
 */
record PastChange(
        long event,
        String placement,
        String name,
        String label,
        @Nullable Phrase from,
        @Nullable Phrase to,
        @Nullable Reason reason,
        @Nullable String note,
        String author,
        Instant at,
        @Nullable String importer,
        Kind kind) {

    /** What was done. */
    enum Kind {
        CHANGED,
        /** Nothing was changed: somebody looked at the value on set. */
        LOOKED,
        /** The thing was given another name, in all shots of its scene; it is not gone back to. */
        NAMED
    }
}
