package org.oblume.core.continuity;

import org.oblume.core.units.Checks;

/**
 * Why a line of the report is quiet though it is off.
 *
 * @param cause what stills it
 * @param reason in someone's own words
 * @param author who said so
 */
public record Waiver(Cause cause, String reason, String author) {

    /** A reason is no longer than this, characters. */
    static final int LONGEST = 500;

    /** What stills a line. */
    public enum Cause {
        /** Someone looked, and it is right. */
        BY_EYE,
        /** A value that it rests on was called a cheat. */
        CHEAT
    }

    public Waiver {
        reason = Checks.text("The reason", reason, LONGEST);
    }
}
