package org.oblume.server.note;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A take as a file has it. */
public record WrittenTake(int number, @Nullable String note, boolean circled, String author, Instant at) {}
