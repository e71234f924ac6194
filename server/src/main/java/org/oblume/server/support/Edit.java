package org.oblume.server.support;

import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/** What comes with every edit: the version it was made on, and who made it. */
public final class Edit {

    /** Request header with the person's name, percent-encoded UTF-8. */
    public static final String AUTHOR = "Oblume-Author";
    private static final int LONGEST_NAME = 60;

    private Edit() {
    }

    /**
     * The version named by an If-Match header; 0 for what is not there yet.
     *
     * @throws PreconditionMissing when there is none, so that nobody overwrites in silence
     */
    public static long version(@Nullable String ifMatch) {
        if (ifMatch == null || !ifMatch.matches("\"?\\d{1,18}\"?")) {
            throw new PreconditionMissing("Send the version you changed as If-Match, such as \"3\"; \"0\" for a new value.");
        }
        return Long.parseLong(ifMatch.replace("\"", ""));
    }

    public static String etag(long version) {
        return "\"" + version + "\"";
    }

    public static String author(@Nullable String header) {
        if (header == null) {
            throw new Refusal(AUTHOR, "Say who is making this change.");
        }
        try {
            return Checks.text("Your name", URLDecoder.decode(header, StandardCharsets.UTF_8), LONGEST_NAME);
        } catch (IllegalArgumentException badEncoding) {
            throw new Refusal(AUTHOR, "Your name cannot be read: send it percent-encoded, up to 60 characters.");
        }
    }
}
