package org.oblume.server.shot;

/** A shot of a scene. @param version counts the changes of its card, for If-Match */
public record Shot(long id, long sceneId, long version, ShotCard card) {
}
