package org.oblume.server.shot;

import org.oblume.core.search.Wanted;

/**
 * Something that the record says of a shot, for finding it.
 *
 * @param about what it is said of
 * @param text as it is shown
 * @param folded as it is compared
 */
public record SaidOfShot(About about, String text, String folded) {

    /** What something is said of. */
    public enum About {
        /** Slate, description, day. */
        SHOT,
        /** Number, heading, location, set. */
        SCENE,
        /** What is placed, with its kind, its unit and what hangs before it. */
        THING,
        /** A cue or a condition of the place. */
        CUE,
        /** A note, a take. */
        NOTE,
        /** Who recorded something. */
        PERSON,
        /** The day that it is shot on. */
        DAY
    }

    public SaidOfShot(About about, String text) {
        this(about, text, Wanted.folded(text));
    }
}
