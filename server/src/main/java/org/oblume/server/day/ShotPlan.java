package org.oblume.server.day;

import org.jspecify.annotations.Nullable;
import org.oblume.core.day.LightNeed;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.units.Checks;

/**
 * What a shot takes and needs of its day.
 *
 * @param shootMinutes of its takes, or null while nobody said
 * @param need the light that it can only be shot in
 * @param first whether it comes before the other shots of its scene: the wide
 * @param afterId the shot that it comes after, or null
 * @param doneBy when its takes have to be over, {@code 18:00}, or null; before the call it is of the next day
 * @param who leaves then, or null
 */
public record ShotPlan(
        @Nullable Double shootMinutes,
        LightNeed need,
        boolean first,
        @Nullable Long afterId,
        @Nullable String doneBy,
        @Nullable String who) {

    /** Of a shot of which nothing was said. */
    static final ShotPlan NOTHING_SAID = new ShotPlan(null, LightNeed.ANY, false, null, null, null);

    /** An estimate until somebody says. */
    static final double USUAL_MINUTES = 30;

    private static final double LONGEST_MIN = 1440;
    private static final int LONGEST_NAME = 60;

    public ShotPlan {
        if (shootMinutes != null) {
            Checks.within("shootMinutes", "The takes of a shot", shootMinutes, 1, LONGEST_MIN, " min");
        }
        if (doneBy != null) {
            TimeOfDay.parse("doneBy", doneBy);
        }
        who = who == null || who.isBlank() ? null : Checks.text("Who leaves", who, LONGEST_NAME);
    }

    double minutes() {
        return shootMinutes == null ? USUAL_MINUTES : shootMinutes;
    }
}
