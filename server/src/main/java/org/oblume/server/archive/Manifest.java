package org.oblume.server.archive;

import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * What an archive says of itself.
 *
 * @param format {@link #FORMAT}
 * @param version of the format, from 1
 * @param id of this archive
 * @param madeAt when its record was read
 * @param by who made it
 * @param production uid of the production
 * @param name what it is called
 * @param rows how many of each table
 * @param pictures how many files
 * @param pictureBytes of them together
 * @param knows archives that went into this record or came from it before, the newest last
 * @param people who is named in it, without passphrases
 */
record Manifest(
        String format,
        int version,
        String id,
        Instant madeAt,
        String by,
        String production,
        String name,
        Map<String, Long> rows,
        long pictures,
        long pictureBytes,
        List<String> knows,
        List<String> people) {

    static final String FORMAT = "oblume-archive";
    static final int VERSION = 1;
    static final String ENTRY = "manifest.json";

    /** Whether an archive is this one, or went into its record. */
    boolean isOrKnows(String archive) {
        return id.equals(archive) || knows.contains(archive);
    }
}
