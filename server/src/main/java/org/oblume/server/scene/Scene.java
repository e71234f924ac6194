package org.oblume.server.scene;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A scene of a production, on a set.
 *
 * @param closedAt since when it takes no edits, or null
 */
public record Scene(long id, long productionId, long setId, SceneHeading heading, @Nullable Instant closedAt) {}
