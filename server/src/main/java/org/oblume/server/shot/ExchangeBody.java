package org.oblume.server.shot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Exchanged;
import org.oblume.core.plot.Piece;
import org.oblume.core.units.Length;
import org.oblume.core.units.Refusal;

/**
 * What a person says stands there: a thing of the kit, in its own size where it has one. Lengths are as typed.
 *
 * @param piece the thing, with its tag
 * @param wide width of its own, or null for the kind's
 * @param high height, likewise
 */
record ExchangeBody(Piece piece, @Nullable String wide, @Nullable String high) {

    /** @throws Refusal when only one of width and height is told, or one cannot be read */
    Piece standing() {
        boolean isWide = wide != null && !wide.isBlank();
        boolean isHigh = high != null && !high.isBlank();
        if (isWide != isHigh) {
            throw new Refusal(
                    isWide ? "high" : "wide", "Give its width and its height, or leave both as the kind has them.");
        }
        return isWide ? piece.sized(metres("wide", wide), metres("high", high)) : piece;
    }

    Exchanged exchanged() {
        return new Exchanged(standing());
    }

    private static double metres(String field, @Nullable String typed) {
        try {
            return Length.parse(typed == null ? "" : typed).metres();
        } catch (Refusal refusal) {
            throw refusal.at(field);
        }
    }
}
