package org.oblume.core.complete;

import org.oblume.core.units.Phrase;

/**
 * Something about a thing that its record does not hold.
 *
 * @param gap what, and the act that mends it
 * @param guess whether a stranger would have to guess; else the thing can be put back, better with it
 * @param sentence what is missing, and what that means
 */
public record Finding(Gap gap, boolean guess, Phrase sentence) {

    static Finding guess(Gap gap, Phrase sentence) {
        return new Finding(gap, true, sentence);
    }

    static Finding guess(Gap gap, String sentence) {
        return guess(gap, Phrase.of(sentence));
    }

    static Finding better(Gap gap, Phrase sentence) {
        return new Finding(gap, false, sentence);
    }
}
