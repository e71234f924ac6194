package org.oblume.server.scene;

import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Role;

/**
 * What may change of a placement, besides what is recorded in shots: see {@link org.oblume.core.plot.Placement}.
 *
 * @param piece which kind of thing it is, where nobody had said that; null leaves it
 */
public record PlacementCard(
        String name,
        Role role,
        @Nullable String motivation,
        @Nullable String group,
        @Nullable Boolean locked,
        @Nullable Piece piece) {}
