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
        /** Much current on one circuit. */
        LOAD,
        /** Haze and smoke: lungs and alarms. */
        AIR,
        /** Light that flashes as fast as can trigger a seizure. */
        FLASH,
        /** Vehicles, roads, aircraft: what the place's own safety officer decides. */
        PLACE,
        /** Something that stands in the way while another is carried. */
        IN_THE_WAY;

        /** Whether it is minded as long as the thing is on, not only while it is carried and set. */
        public boolean isWhileItStands() {
            return this != STAND && this != OUTSIDE && this != IN_THE_WAY;
        }
    }
}
