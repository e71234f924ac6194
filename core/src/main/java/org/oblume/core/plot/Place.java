package org.oblume.core.plot;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Measured;
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
 * @param measured how it was measured on set, which gives this very place; null where that was not said: dragged, typed as coordinates, or
 *     recorded before measures were kept
 */
public record Place(double xM, double yM, boolean outside, @Nullable Measured measured) implements AttributeValue {

    private static final double FARTHEST_M = 1000;
    /** A place is kept to the millimetre. */
    private static final double MILLIMETRES = 1000;

    private static final double SAME_M = 0.002;

    public Place {
        Checks.within("x", xM, -FARTHEST_M, FARTHEST_M, " m");
        Checks.within("y", yM, -FARTHEST_M, FARTHEST_M, " m");
        if (measured != null && measured.point().distanceM(new PlanPoint(xM, yM)) > SAME_M) {
            throw new Refusal(
                    "measured",
                    Phrase.format(
                            "What was measured (%s) gives another place than the one beside it: leave one of them out.",
                            measured.phrase()));
        }
    }

    /** A place of which nobody said how it was measured. */
    public Place(double xM, double yM, boolean outside) {
        this(xM, yM, outside, null);
    }

    /** The place that a measure gives, to the millimetre. */
    public static Place of(Measured measured, boolean outside) {
        PlanPoint point = measured.point();
        return new Place(
                Math.round(point.xM() * MILLIMETRES) / MILLIMETRES,
                Math.round(point.yM() * MILLIMETRES) / MILLIMETRES,
                outside,
                measured);
    }

    /** The same spot, however it was measured. */
    public boolean isAt(Place other) {
        return xM == other.xM && yM == other.yM && outside == other.outside;
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
        return phrase().metric();
    }

    @Override
    public String sayImperial() {
        return phrase().imperial();
    }

    @Override
    public Phrase phrase() {
        return Phrase.format(
                "%s right, %s up%s%s",
                Phrase.metres(xM),
                Phrase.metres(yM),
                measured == null ? "" : ", " + measured.how(),
                outside ? ", outside" : "");
    }

    @Override
    public Phrase typed() {
        return Phrase.format(outside ? "%s, %s outside" : "%s, %s", Phrase.metres(xM), Phrase.metres(yM));
    }
}
