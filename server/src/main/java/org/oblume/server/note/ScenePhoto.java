package org.oblume.server.note;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A photograph of one of several shots, without its picture.
 *
 * @param id of its note
 * @param placementId the thing that it is of, or null
 * @param widthPx of it turned as its file says
 * @param heightPx as well
 */
public record ScenePhoto(
        long id,
        long shotId,
        @Nullable Long placementId,
        String text,
        double widthPx,
        double heightPx,
        String author,
        Instant at) {}
