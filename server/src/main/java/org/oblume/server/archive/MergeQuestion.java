package org.oblume.server.archive;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Phrase;

/**
 * Something that both sides changed, each otherwise, or that one took out and the other went on with.
 *
 * @param id for the answer
 * @param where the shot or whatever else it is part of, in words
 * @param what it is
 * @param here as it is in this record, or null where it was taken out
 * @param there as it is in the archive, likewise
 * @param before as it was in both, or null where that is not known
 * @param hereBy who said it here last, or null
 * @param hereAt when
 * @param thereBy likewise in the archive
 * @param later which of them was said later, or null where that is not known
 */
record MergeQuestion(
        String id,
        String where,
        String what,
        @Nullable Phrase here,
        @Nullable Phrase there,
        @Nullable Phrase before,
        @Nullable String hereBy,
        @Nullable Instant hereAt,
        @Nullable String thereBy,
        @Nullable Instant thereAt,
        @Nullable Side later) {

    /** Which of both is kept. */
    enum Side {
        HERE,
        THERE
    }
}
