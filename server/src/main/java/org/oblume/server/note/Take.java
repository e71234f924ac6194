package org.oblume.server.note;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A take of a shot.
 *
 * @param circled whether it is one to use
 * @param version counts the changes of it, for If-Match
 */
record Take(long id, int number, @Nullable String note, boolean circled, String author, Instant at, long version) {}
