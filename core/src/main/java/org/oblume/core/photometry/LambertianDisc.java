package org.oblume.core.photometry;

import java.util.OptionalDouble;
import org.oblume.core.units.Checks;

/**
 * An even surface that light leaves in all directions of its half space: {@code I(ψ) = I_n · cos ψ}, {@code I_n = Φ/π}.
 *
 * @param normalCandela along its normal, candela, 0 or more
 * @param radiusM of the part that shines, metres, 0 or more
 */
public record LambertianDisc(double normalCandela, double radiusM) implements Distribution {

    public LambertianDisc {
        Checks.notBelow0("normalCandela", "The intensity", normalCandela, " cd");
        Checks.notBelow0("radiusM", "The radius", radiusM, " m");
    }

    @Override
    public double candela(double offAxisRad) {
        return normalCandela * Math.max(0, Math.cos(offAxisRad));
    }

    @Override
    public double extentRad() {
        return Math.PI / 2;
    }

    /** Its light goes to all sides: it lights all of what stands before it. */
    @Override
    public OptionalDouble litRadiusM(double distanceM) {
        return OptionalDouble.empty();
    }

    /** Flux within a cone around its normal, {@code π·I_n·sin²θ}, lumen. */
    @Override
    public double lumenWithin(double halfAngleRad) {
        double sine = Math.sin(Math.min(Math.PI / 2, halfAngleRad));
        return Math.PI * normalCandela * sine * sine;
    }
}
