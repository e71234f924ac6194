package org.oblume.server.support;

import org.jspecify.annotations.Nullable;

/** The version that an edit was made on. */
public final class IfMatch {

    private IfMatch() {}

    /**
     * The version named by an If-Match header; 0 for what is not there yet.
     *
     * @throws PreconditionRequiredException when there is none, so that nobody overwrites in silence
     */
    public static long version(@Nullable String ifMatch) {
        if (ifMatch == null || !ifMatch.matches("\"?\\d{1,18}\"?")) {
            throw new PreconditionRequiredException(
                    "Send the version you changed as If-Match, such as \"3\"; \"0\" for a new value.");
        }
        return Long.parseLong(ifMatch.replace("\"", ""));
    }

    public static String etag(long version) {
        return "\"" + version + "\"";
    }
}
