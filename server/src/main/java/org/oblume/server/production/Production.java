package org.oblume.server.production;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A production.
 *
 * @param days planned shooting days
 * @param closedAt since when it takes no edits, or null
 */
public record Production(long id, String name, int days, @Nullable Instant closedAt) {}
