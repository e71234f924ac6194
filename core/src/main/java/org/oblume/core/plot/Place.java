package org.oblume.core.plot;

import java.util.Locale;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * Where a placement stands on the plan.
 *
 * @param xM metres to the right of the plan's origin, −1000 to 1000
 * @param yM metres up the plan, −1000 to 1000
 * @param outside stands outside the set's walls on purpose, its light comes through an opening
 */
public record Place(double xM, double yM, boolean outside) implements AttributeValue {

    private static final double FARTHEST_M = 1000;

    public Place {
        Checks.within("x", xM, -FARTHEST_M, FARTHEST_M, " m");
        Checks.within("y", yM, -FARTHEST_M, FARTHEST_M, " m");
    }

    public static Place of(double xM, double yM) {
        return new Place(xM, yM, false);
    }

    /** Reads {@code 3.4; 2.1}, {@code 3.4 2.1} or {@code 11'2", 6'} with {@code outside} at the end where it is meant. */
    public static Place parse(String text) {
        String lower = text.strip().toLowerCase(Locale.ROOT);
        boolean outside = lower.endsWith("outside");
        String[] parts = lower.replaceFirst("[,; ]*outside$", "").split("[,;] *| +(?=[-−]?\\d+\\.)");
        if (parts.length != 2) {
            throw new Refusal("“%s” is not a place: type how far right and how far up the plan, such as 3.40, 2.10."
                    .formatted(text));
        }
        return new Place(Length.parse(parts[0]).metres(), Length.parse(parts[1]).metres(), outside);
    }

    public PlanPoint point() {
        return new PlanPoint(xM, yM);
    }

    @Override
    public String say() {
        return "%s right, %s up%s"
                .formatted(
                        Length.ofMetres(xM).printMetric(),
                        Length.ofMetres(yM).printMetric(),
                        outside ? ", outside" : "");
    }

    @Override
    public String sayImperial() {
        return "%s right, %s up%s"
                .formatted(
                        Length.ofMetres(xM).printImperial(),
                        Length.ofMetres(yM).printImperial(),
                        outside ? ", outside" : "");
    }

    @Override
    public Phrase typed() {
        return Phrase.format(outside ? "%s, %s outside" : "%s, %s", Phrase.metres(xM), Phrase.metres(yM));
    }
}
