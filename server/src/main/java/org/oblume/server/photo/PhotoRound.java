package org.oblume.server.photo;

import java.time.Instant;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;

/**
 * What photographs were taken for: the record, a later check of it, or a rebuild. Those of one round are read together; between two, things
 * may have been moved.
 *
 * @param id null for the record, else {@code check-1764500000} by the second it began, or {@code run-12} by the rebuild
 */
record PhotoRound(@Nullable String id) {

    static final PhotoRound RECORD = new PhotoRound(null);
    private static final Pattern CHECK = Pattern.compile("check-(\\d{1,12})");
    private static final Pattern RUN = Pattern.compile("run-(\\d{1,12})");

    PhotoRound {
        if (id != null && !CHECK.matcher(id).matches() && !RUN.matcher(id).matches()) {
            throw new Refusal("round", "“%s” is no round of photographs: open it from the list.".formatted(id));
        }
    }

    static PhotoRound parse(@Nullable String id) {
        return id == null || id.isEmpty() ? RECORD : new PhotoRound(id);
    }

    /** When a check began, or null. */
    @Nullable
    Instant began() {
        Matcher check = CHECK.matcher(id == null ? "" : id);
        return check.matches() ? Instant.ofEpochSecond(Long.parseLong(check.group(1))) : null;
    }

    /** The rebuild that it is of, or null. */
    @Nullable
    Long runId() {
        Matcher run = RUN.matcher(id == null ? "" : id);
        return run.matches() ? Long.valueOf(run.group(1)) : null;
    }
}
