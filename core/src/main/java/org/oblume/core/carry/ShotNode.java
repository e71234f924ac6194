package org.oblume.core.carry;

import org.jspecify.annotations.Nullable;

/**
 * A shot's place in its scene.
 *
 * @param slate what is on its slate, unique in the scene
 * @param basedOn slate of the shot its values carry from, or null for one that starts afresh
 * @param stage how far it has come
 */
public record ShotNode(Slate slate, @Nullable Slate basedOn, ShotStage stage) {}
