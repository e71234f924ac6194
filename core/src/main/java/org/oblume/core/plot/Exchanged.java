package org.oblume.core.plot;

import org.oblume.core.units.Phrase;

/**
 * What stands there from here on: another unit in its place, another size, another tag. Until then it is what was placed.
 *
 * @param piece the thing that took its place
 */
public record Exchanged(Piece piece) implements AttributeValue {

    @Override
    public String say() {
        return piece.called();
    }

    @Override
    public Phrase brief() {
        return Phrase.of(piece.unit() == null ? piece.what() : piece.unit());
    }
}
