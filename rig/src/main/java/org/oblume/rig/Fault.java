package org.oblume.rig;

import org.jspecify.annotations.Nullable;

/**
 * Something that goes wrong with a fixture.
 *
 * @param kind what goes wrong
 * @param mode that it comes back in; null for any other than its own
 * @param universe that it listens to now; null for its own
 * @param address that it listens at now
 * @param percent where its knob was turned to
 */
public record Fault(
        Kind kind,
        @Nullable String mode,
        @Nullable Integer universe,
        @Nullable Integer address,
        @Nullable Double percent) {

    /** What can go wrong. */
    public enum Kind {
        WRONG_MODE,
        WRONG_ADDRESS,
        KNOB,
        NO_POWER,
        CURVE_RESET,
        LOST_LINK
    }
}
