package org.oblume.server.archive;

import java.time.Instant;

/** What became of productions and scenes as a whole. */
final class ClosingViews {

    private ClosingViews() {}

    /** What a production or a scene can be. */
    enum Standing {
        /** It is worked on. */
        OPEN,
        /** It is done: it can be read, and takes no edits. */
        CLOSED,
        /** It is in no list; it can be brought back for a while. */
        DELETED
    }

    /** Which of the two. */
    enum Whole {
        PRODUCTION,
        SCENE
    }

    /**
     * One that was deleted.
     *
     * @param name as it was called
     * @param until when it can be brought back at the latest
     */
    record Deleted(Whole what, long id, String name, Instant at, String by, Instant until) {}
}
