package org.oblume.server.note;

import org.jspecify.annotations.Nullable;

/**
 * A photograph of a shot, without its picture.
 *
 * @param id of its note
 * @param widthPx of it turned as its file says
 * @param heightPx as well
 * @param focal35 focal length as if on 36 mm of film, mm; null where its file did not tell it
 */
public record ShotPhoto(
        long id, String text, double widthPx, double heightPx, @Nullable Double focal35, String author) {}
