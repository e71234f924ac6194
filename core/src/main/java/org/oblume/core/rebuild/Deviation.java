package org.oblume.core.rebuild;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Piece;
import org.oblume.core.units.Checks;

/**
 * What is not as recorded of one thing in a rebuild.
 *
 * @param placement key of the thing
 * @param piece what stands in for it, or null for the recorded one
 * @param values that are true now in the place of the recorded ones, on the plan of the place where it is rebuilt
 * @param why in the words of whoever set it
 */
public record Deviation(String placement, @Nullable Piece piece, List<AttributeValue> values, String why) {

    private static final int LONGEST = 500;

    public Deviation {
        values = List.copyOf(values);
        why = Checks.text("Why it is not as recorded", why, LONGEST);
    }
}
