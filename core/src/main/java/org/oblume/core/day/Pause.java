package org.oblume.core.day;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A meal, which is taken between two shots.
 *
 * @param after it does not begin before this
 * @param before it has begun by then: what would end later waits until after it
 * @param minutes 1 or more
 */
public record Pause(TimeOfDay after, TimeOfDay before, double minutes) {

    private static final double LONGEST_MIN = 720;

    public Pause {
        if (after.compareTo(before) > 0) {
            throw new Refusal(
                    "afterTime",
                    "A pause that begins after %s and before %s has no time to begin: put the later one second."
                            .formatted(after.print(), before.print()));
        }
        Checks.within("minutes", "A pause", minutes, 1, LONGEST_MIN, " min");
    }
}
