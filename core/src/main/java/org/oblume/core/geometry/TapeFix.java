package org.oblume.core.geometry;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * A stand found from two tapes: where circles of the two lengths around the two landmarks meet.
 *
 * @param point the place found
 * @param crossingAngleDeg angle at which the tapes cross at the point, 0–180
 * @param crossing how well they cross
 * @param positionErrorM how far off the place may be, {@code e / sin γ} (model)
 */
public record TapeFix(PlanPoint point, double crossingAngleDeg, Crossing crossing, double positionErrorM) {

    /** What a tape pulled by hand is good for, metres. */
    public static final double DEFAULT_TAPE_ERROR_M = 0.01;

    /**
     * @param distanceAM horizontal tape from a, metres, above 0
     * @param distanceBM horizontal tape from b, metres, above 0
     * @param tapeErrorM error of one tape, metres, above 0
     * @throws Refusal when the landmarks are in one place, or the tapes do not cross, with the gap in metres
     */
    public static TapeFix of(
            PlanPoint a, PlanPoint b, double distanceAM, double distanceBM, Side side, double tapeErrorM) {
        requireAbove0("distanceAM", distanceAM);
        requireAbove0("distanceBM", distanceBM);
        requireAbove0("tapeErrorM", tapeErrorM);
        double base = a.distanceM(b);
        if (base == 0) {
            throw new Refusal("b", "Both tapes start from one place: choose two different landmarks.");
        }
        double apart = base - (distanceAM + distanceBM);
        double inside = Math.abs(distanceAM - distanceBM) - base;
        double gap = Math.max(apart, inside);
        if (gap > -Checks.LIMIT_SLACK * Math.max(base, Math.max(distanceAM, distanceBM))) {
            throw new Refusal(
                    "distanceAM",
                    apart > inside
                            ? Phrase.format(
                                    "The tapes do not cross: they miss by %s. Measure again, one is too short.",
                                    Phrase.metres(Math.max(0, gap)))
                            : Phrase.format(
                                    "The tapes do not cross: one ends %s inside the other. Measure again, one is too long.",
                                    Phrase.metres(Math.max(0, gap))));
        }
        double along = (distanceAM * distanceAM - distanceBM * distanceBM + base * base) / (2 * base);
        double off = Math.sqrt(Math.max(0, distanceAM * distanceAM - along * along)) * (side == Side.LEFT ? 1 : -1);
        double ux = (b.xM() - a.xM()) / base;
        double uy = (b.yM() - a.yM()) / base;
        PlanPoint point = new PlanPoint(a.xM() + along * ux - off * uy, a.yM() + along * uy + off * ux);
        double angle = Plane.angleDeg(point, a, b);
        return new TapeFix(point, angle, Crossing.ofAngle(angle), tapeErrorM / Math.sin(Math.toRadians(angle)));
    }

    private static void requireAbove0(String field, double value) {
        if (!(value > 0) || !Double.isFinite(value)) {
            throw new Refusal(field, "A tape has to be longer than 0 m.");
        }
    }
}
