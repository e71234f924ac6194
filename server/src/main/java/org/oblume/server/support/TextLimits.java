package org.oblume.server.support;

import org.oblume.core.units.Refusal;

/** How long what is typed may be, looked at before any work is done with it. */
public final class TextLimits {

    /** Of a line that is said, typed or read out: far more than anybody calls out. */
    public static final int LONGEST_LINE = 500;

    private TextLimits() {}

    /**
     * @return the same line
     * @throws Refusal when it is longer than {@link #LONGEST_LINE}
     */
    public static String line(String text) {
        if (text.length() > LONGEST_LINE) {
            throw new Refusal(
                    "text",
                    "A line has at most %d signs, this one %d: say it in parts."
                            .formatted(LONGEST_LINE, text.length()));
        }
        return text;
    }
}
