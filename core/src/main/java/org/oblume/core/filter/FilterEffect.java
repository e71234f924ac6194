package org.oblume.core.filter;

import java.util.Collection;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.MiredShift;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;

/**
 * What a filter, or a whole stack of them, does to white light. Mireds and stops of a stack add; so do Duv shifts
 * (model).
 *
 * @param mired shift, + is warmer
 * @param stops light lost, 0 or more
 * @param duv tint shift, + is green
 */
public record FilterEffect(MiredShift mired, Stops stops, double duv) {

    public static final FilterEffect NONE = new FilterEffect(MiredShift.NONE, Stops.NONE, 0);

    public FilterEffect {
        Checks.notBelow0("stops", "What a filter costs", stops.value(), " stops");
        Checks.finite("duvShift", "A tint shift", duv);
    }

    public static FilterEffect of(double miredShift, double stops, double duvShift) {
        return new FilterEffect(MiredShift.of(miredShift), Stops.of(stops), duvShift);
    }

    /** A whole stack. */
    public static FilterEffect sum(Collection<FilterEffect> stack) {
        return stack.stream().reduce(NONE, FilterEffect::plus);
    }

    public FilterEffect plus(FilterEffect other) {
        return new FilterEffect(mired.plus(other.mired), stops.plus(other.stops), duv + other.duv);
    }

    /**
     * White light behind it.
     *
     * @throws Refusal when that would be outside 1000 to 25000 K or ±0.05 Duv
     */
    public WhitePoint behind(WhitePoint light) {
        double tint = light.duv().value() + duv;
        if (Math.abs(tint) > Duv.LIMIT * (1 + Checks.LIMIT_SLACK)) {
            throw new Refusal(
                    "filters",
                    "Tint %s with %s of the filters would be past ±0.05: take out a filter."
                            .formatted(Duv.print(light.duv().value()), Duv.print(duv)));
        }
        try {
            Kelvin shifted = light.kelvin().shifted(mired);
            return WhitePoint.of(shifted, Duv.of(tint));
        } catch (Refusal outside) {
            throw outside.at("filters");
        }
    }
}
