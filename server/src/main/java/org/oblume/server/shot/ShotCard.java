package org.oblume.server.shot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * What is said of a shot itself.
 *
 * @param slate unique in its scene: {@code 4C}
 * @param description {@code Close on the repairer at the bench}
 * @param day shooting day, from 1, or null while it is not planned
 * @param stage how far it has come
 * @param basedOnId the shot its values carry from, or null
 */
public record ShotCard(
        Slate slate, String description, @Nullable Integer day, ShotStage stage, @Nullable Long basedOnId) {

    private static final int LONGEST_DESCRIPTION = 200;
    private static final int LAST_DAY = 1000;

    public ShotCard {
        if (description.strip().length() > LONGEST_DESCRIPTION) {
            throw new Refusal("description", "Keep the description to %d characters.".formatted(LONGEST_DESCRIPTION));
        }
        description = description.strip();
        if (day != null) {
            Checks.within("Shooting day", day, 1, LAST_DAY, "");
        }
    }
}
