package org.oblume.core.carry;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;

/**
 * A shot's place in its scene.
 *
 * @param slate what is on the slate, unique in the scene: {@code 4C}
 * @param basedOn slate of the shot its values carry from, or null for one that starts afresh
 * @param stage how far it has come
 */
public record ShotNode(String slate, @Nullable String basedOn, ShotStage stage) {

    public ShotNode {
        if (!slate.matches("[\\p{L}\\p{N}][\\p{L}\\p{N} ./-]{0,11}")) {
            throw new Refusal(
                    "slate",
                    "“%s” cannot go on a slate: use up to 12 letters and digits, such as 4C.".formatted(slate));
        }
    }
}
