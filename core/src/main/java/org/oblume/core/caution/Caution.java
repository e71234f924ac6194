package org.oblume.core.caution;

/**
 * Something to mind.
 *
 * @param kind by which it is chosen where only some are shown
 * @param sentence for whoever does the work
 */
public record Caution(Kind kind, String sentence) {

    /** What the risk is. */
    public enum Kind {
        /** A stand that may go over. */
        STAND,
        /** Something that hangs over people. */
        OVERHEAD,
        /** Weather and wet ground. */
        OUTSIDE,
        /** A lamp that burns what is near it. */
        HEAT,
        /** A discharge lamp without its lens. */
        ULTRAVIOLET,
        /** Something that stands in the way while another is carried. */
        IN_THE_WAY
    }
}
