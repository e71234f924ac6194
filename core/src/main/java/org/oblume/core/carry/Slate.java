package org.oblume.core.carry;

import org.oblume.core.units.Refusal;

/**
 * What is on the slate of a shot, unique in its scene.
 *
 * @param text 1 to 12 letters, digits, spaces, points, slashes and hyphens, the first a letter or a digit: {@code 4C};
 *     spaces around it are dropped
 */
public record Slate(String text) {

    /** @throws Refusal when it cannot go on a slate */
    public Slate {
        text = text.strip();
        if (!text.matches("[\\p{L}\\p{N}][\\p{L}\\p{N} ./-]{0,11}")) {
            throw new Refusal(
                    "slate", "“%s” cannot go on a slate: use up to 12 letters and digits, such as 4C.".formatted(text));
        }
    }

    @Override
    public String toString() {
        return text;
    }
}
