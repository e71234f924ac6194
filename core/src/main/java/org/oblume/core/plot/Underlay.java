package org.oblume.core.plot;

import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A drawing or photo of a plan that lies under the set, to scale.
 *
 * @param picture id of the picture that was put in
 * @param widthPx of the picture, above 0
 * @param heightPx of the picture, above 0
 * @param metresPerPx scale, above 0
 * @param corner where its lower left corner lies on the plan
 */
public record Underlay(long picture, double widthPx, double heightPx, double metresPerPx, PlanPoint corner) {

    private static final double LONGEST_M = 2000;

    public Underlay {
        Checks.above0("underlay", "The picture's width", widthPx, " px");
        Checks.above0("underlay", "The picture's height", heightPx, " px");
        Checks.above0("underlay", "The picture's scale", metresPerPx, " m per px");
        Checks.within(
                "underlay",
                "The picture's size on the plan",
                Math.max(widthPx, heightPx) * metresPerPx,
                0,
                LONGEST_M,
                " m");
    }

    /**
     * The same picture, scaled by a distance that is known on it. The first point stays where it lies on the plan.
     *
     * @param first point clicked, on the plan as it is now
     * @param second another
     * @param distanceM between them, metres, above 0
     * @throws Refusal when both are the same point
     */
    public Underlay scaled(PlanPoint first, PlanPoint second, double distanceM) {
        Checks.above0("distanceM", "The distance", distanceM, " m");
        double now = first.distanceM(second);
        if (now == 0) {
            throw new Refusal(
                    "second", "Both points are the same: click two that are as far apart as you can measure.");
        }
        double factor = distanceM / now;
        return new Underlay(
                picture,
                widthPx,
                heightPx,
                metresPerPx * factor,
                PlanPoint.of(
                        first.xM() + (corner.xM() - first.xM()) * factor,
                        first.yM() + (corner.yM() - first.yM()) * factor));
    }
}
