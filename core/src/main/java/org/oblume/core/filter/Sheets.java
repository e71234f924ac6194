package org.oblume.core.filter;

import org.oblume.core.units.Refusal;

/**
 * Filters of one kind that are at hand.
 *
 * @param sheets how many, 0 or more
 */
public record Sheets(String name, FilterEffect effect, int sheets) {

    public Sheets {
        if (sheets < 0) {
            throw new Refusal("sheets", "%s: the number of sheets has to be 0 or more.".formatted(name));
        }
    }
}
