package org.oblume.server.note;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A note of a shot as a file has it, without its photograph.
 *
 * @param placement key of the thing that it is of, or null
 */
public record WrittenNote(String text, @Nullable String placement, String author, Instant at) {}
