package org.oblume.core.geometry;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * A tape that was pulled along the floor.
 *
 * @param from landmark that it starts at, where it was drawn then
 * @param lengthM horizontal, metres, above 0 to 100
 */
public record Tape(Landmark from, double lengthM) {

    private static final double LONGEST_M = 100;

    public Tape {
        if (!(lengthM > 0)) {
            throw new Refusal("tapes", "The tape from %s has to be longer than 0 m.".formatted(from.name()));
        }
        Checks.within("tapes", "The tape from %s".formatted(from.name()), lengthM, 0, LONGEST_M, " m");
    }

    /** {@code 2.12 m from window post}. */
    public Phrase phrase() {
        return Phrase.format("%s from %s", Phrase.metres(lengthM), from.name());
    }
}
