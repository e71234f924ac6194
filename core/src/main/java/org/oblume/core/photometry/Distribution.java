package org.oblume.core.photometry;

import java.util.OptionalDouble;

/** How strongly a source shines off its axis, the same all round it. */
public sealed interface Distribution permits BeamShape, LambertianDisc, MeasuredBeam, IsotropicSource {

    /**
     * Intensity, candela.
     *
     * @param offAxisRad angle from the axis, radians, 0 to π
     */
    double candela(double offAxisRad);

    /** Angle from the axis beyond which next to nothing is left, radians, above 0 to π. */
    double extentRad();

    /**
     * Radius of the patch that is lit, metres; empty when it has no end.
     *
     * @param distanceM to the patch, metres, above 0
     */
    OptionalDouble litRadiusM(double distanceM);

    /** Flux within a cone around the axis, lumen: {@code ∫ I(θ)·2π·sin θ dθ}, by Simpson's rule. */
    default double lumenWithin(double halfAngleRad) {
        int steps = 256;
        double step = halfAngleRad / steps;
        double sum = 0;
        for (int i = 0; i <= steps; i++) {
            double weight = i == 0 || i == steps ? 1 : i % 2 == 1 ? 4 : 2;
            double angle = i * step;
            sum += weight * candela(angle) * Math.sin(angle);
        }
        return 2 * Math.PI * sum * step / 3;
    }
}
