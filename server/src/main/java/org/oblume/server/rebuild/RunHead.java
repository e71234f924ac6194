package org.oblume.server.rebuild;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.units.Phrase;

/**
 * A rebuild of a shot.
 *
 * @param name what the crew calls it: {@code Day 4}
 * @param setId the set where it is rebuilt, when that is another one
 * @param from slate of the shot that stands already, or null when it starts from nothing
 * @param fit where the recorded plan lies on that set's; null in the same place
 * @param signed null until a lead signed its verdict
 */
public record RunHead(
        long id,
        String name,
        @Nullable Long setId,
        @Nullable Long fromShotId,
        @Nullable Slate from,
        String author,
        Instant startedAt,
        @Nullable FittedPlan fit,
        @Nullable Signature signed) {

    /** @param said the verdict that was signed */
    public record Signature(String author, Instant at, String said) {}

    /**
     * @param turnDeg clockwise
     * @param pairs by which it was found
     */
    public record FittedPlan(boolean mirrored, double turnDeg, List<FittedPair> pairs) {}

    /**
     * @param recorded landmark of the recorded set
     * @param here the same on the new one
     * @param miss how far they stay apart
     */
    public record FittedPair(String recorded, String here, Phrase miss) {}
}
