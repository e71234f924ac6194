package org.oblume.server.archive;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is told of an archive that somebody wants to take in. */
final class ArchiveViews {

    private ArchiveViews() {}

    /**
     * What there is to an archive of a production.
     *
     * @param pictures how many are in it
     * @param points archives that were made or taken in, the newest first
     */
    record Archives(long pictures, List<ArchivePoints.ArchivePoint> points) {}

    /**
     * What would be done, or was.
     *
     * @param id for going on with it
     * @param production what it is called in the archive
     * @param madeAt when the archive was made
     * @param by who made it
     * @param productionId the production here that it goes into, or null when there is none yet
     * @param nameTaken whether another production here bears its name: it needs one of its own
     * @param commonSince when both were one for the last time, or null where that is not known
     * @param brings what it brings, by what its rows are
     * @param pictureBytes of its pictures
     * @param renamed sentences on what is called otherwise
     * @param told sentences on what else there is to know
     * @param questions what both changed
     */
    record ArchiveReport(
            String id,
            String production,
            Instant madeAt,
            String by,
            @Nullable Long productionId,
            boolean nameTaken,
            @Nullable Instant commonSince,
            List<Brought> brings,
            long pictureBytes,
            List<String> renamed,
            List<String> told,
            List<MergeQuestion> questions) {}

    /**
     * Rows of one kind.
     *
     * @param what they are, several of them
     */
    record Brought(String what, int added, int changed, int takenOut) {}

    /**
     * How far it is.
     *
     * @param done rows and pictures
     * @param of how many
     */
    record ArchiveProgress(long done, long of) {}
}
