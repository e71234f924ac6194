package org.oblume.core.light;

import org.jspecify.annotations.Nullable;
import org.oblume.core.transport.Skin;

/**
 * A surface that is seen.
 *
 * @param name of what it is a part of, as in "wall"
 * @param placement key of the placement that it is, or null when it is of the set
 */
public record SeenSurface(String name, @Nullable String placement, Skin skin) {}
