package org.oblume.server.truck;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;

/**
 * What a pull list is for: one of the three.
 *
 * @param day a shooting day, or null
 * @param sceneId a scene, or null
 * @param setId a set: all of its scenes, or null
 */
public record PullSubject(@Nullable Integer day, @Nullable Long sceneId, @Nullable Long setId) {

    public PullSubject {
        int said = (day == null ? 0 : 1) + (sceneId == null ? 0 : 1) + (setId == null ? 0 : 1);
        if (said != 1) {
            throw new Refusal("day", "A pull list is for a day, a scene or a set: choose one.");
        }
    }
}
