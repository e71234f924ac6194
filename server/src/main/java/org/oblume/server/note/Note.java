package org.oblume.server.note;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;

/**
 * A note or a photograph.
 *
 * @param slate of the shot it was made in, or null for one of a set
 * @param placement name of the thing it is of, or null
 * @param photo where the photograph is, or null
 */
public record Note(
        long id,
        String text,
        @Nullable Slate slate,
        @Nullable String placement,
        @Nullable String photo,
        String author,
        Instant at) {}
