package org.oblume.server.shot;

import org.jspecify.annotations.Nullable;

/**
 * A shot of a scene.
 *
 * @param version counts the changes of its card, for If-Match
 * @param revision 1 until what was shot is opened again
 * @param lit who said that it is lit, and when; null while nobody has
 * @param shot likewise
 */
public record Shot(
        long id,
        long sceneId,
        long version,
        ShotCard card,
        int revision,
        @Nullable LastTouch lit,
        @Nullable LastTouch shot) {}
