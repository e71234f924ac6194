package org.oblume.core.rebuild;

import java.util.List;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Piece;

/**
 * Something else of the kit that reaches the light of a thing that is missing, predicted by nominal figures.
 *
 * @param piece that stands in for it
 * @param values to dial and hang: level, colour, tint, beam, modifiers
 * @param stops at the mark less what was recorded; below 0 it is short
 * @param mired warmer than recorded, or cooler
 * @param duv greener than recorded, or more magenta
 * @param softness doublings of the size that the mark sees; below 0 it is harder
 * @param givenUp what is not the same, a few words each
 */
public record Substitute(
        Piece piece,
        List<AttributeValue> values,
        double stops,
        double mired,
        double duv,
        double softness,
        List<String> givenUp) {

    /** What is good enough for a substitute: a tenth of a stop and 5 mired. */
    private static final double STOPS = 0.1;

    private static final double MIRED = 5;
    private static final double DUV = 0.003;
    private static final double SOFTNESS = 0.5;

    public Substitute {
        values = List.copyOf(values);
        givenUp = List.copyOf(givenUp);
    }

    /** Whether it is the same light on the mark, as far as a meter tells: within a tenth of a stop and 5 mired. */
    public boolean reaches() {
        return Math.abs(stops) <= STOPS && Math.abs(mired) <= MIRED && Math.abs(duv) <= DUV;
    }

    /** How far it is from the light that is wanted; each of the parts counts by what is good enough of it. */
    double cost() {
        return Math.abs(stops) / STOPS
                + Math.abs(mired) / MIRED
                + Math.abs(duv) / DUV
                + Math.abs(softness) / SOFTNESS
                + 0.2 * givenUp.size();
    }
}
