package org.oblume.core.moves;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Names a move in its list, the same again while it is about the same thing.
 *
 * @param placement key of what it is done to, or null for all of it
 * @param job what is done
 */
public record MoveKey(@Nullable String placement, Job job) {

    /** As others keep it, who tick it off: {@code key/shift}, {@code all/recall}. */
    public String print() {
        return (placement == null ? "all" : placement) + "/" + job.name().toLowerCase(Locale.ROOT);
    }
}
