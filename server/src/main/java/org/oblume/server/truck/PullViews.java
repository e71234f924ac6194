package org.oblume.server.truck;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Phrase;

/** What crosses the wire of pull lists. */
public final class PullViews {

    private PullViews() {}

    /**
     * What a line is of, as it was when the list was made.
     *
     * @param what in words, with its size
     * @param tag of the very unit, or null
     * @param unit its name, or null
     * @param packedIn the case that it lies in, or null
     * @param forWhat what it is for: {@code Key in 4A, 22B}
     */
    public record PullItem(
            Phrase what, @Nullable String tag, @Nullable String unit, @Nullable String packedIn, String forWhat) {}

    /**
     * @param version for If-Match
     * @param author who counted it last, or null
     */
    public record PullLineView(
            long id,
            long version,
            PullItem item,
            int wanted,
            int out,
            int back,
            int missing,
            @Nullable String author,
            @Nullable Instant at) {}

    /**
     * @param title what it is for, in words
     * @param wrappedAt when it was said to be over, or null
     * @param toTake how many are still to be counted out
     * @param missing how many went out and are not back
     */
    public record PullListView(
            long id,
            long productionId,
            PullSubject subject,
            String title,
            Instant madeAt,
            String madeBy,
            List<PullLineView> lines,
            @Nullable Instant wrappedAt,
            @Nullable String wrappedBy,
            int toTake,
            int missing) {}

    /**
     * How a list stands to what is wanted by now.
     *
     * @param notThere what could not be put on it, because it is not there
     * @param since what the plots want by now that is not on it
     */
    public record PullSince(List<Phrase> notThere, List<Phrase> since) {}

    /** A list among those of a production. */
    public record PullListHead(
            long id,
            PullSubject subject,
            String title,
            Instant madeAt,
            String madeBy,
            int lines,
            int toTake,
            int missing,
            @Nullable Instant wrappedAt) {}

    public record PullLists(List<PullListHead> lists) {}

    /** How many of a line went out and came back by now. */
    public record Counted(int out, int back) {}

    /** A line that somebody adds by hand. */
    public record AddedLine(String what, int wanted) {}
}
