package org.oblume.core.day;

import org.jspecify.annotations.Nullable;

/**
 * A time in which the light that a shot needs is there: the night, the day, or the sun in its window.
 *
 * @param from its first minute
 * @param to its last
 */
public record LightSpan(TimeOfDay from, TimeOfDay to) {

    /** When takes of so many minutes that are ready at a time can begin in it; null when they cannot be in it whole. */
    @Nullable
    Double begin(double ready, double minutes) {
        double begin = Math.max(ready, from.minutes());
        return begin + minutes <= to.minutes() + 1e-9 ? Double.valueOf(begin) : null;
    }
}
