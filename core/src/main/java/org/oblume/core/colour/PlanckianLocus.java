package org.oblume.core.colour;

import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/**
 * Chromaticity of white light by Krystek's approximation of the Planckian locus (M. Krystek, "An algorithm to calculate
 * correlated colour temperature", Color Research and Application 10, 1985). Fitted to about 15000 K; used up to 25000 K
 * as a model, about 5 % low in kelvin at that end.
 */
final class PlanckianLocus {

    private static final double STEP_K = 1;

    private PlanckianLocus() {
    }

    /** The point of the locus at a temperature in kelvin. */
    static Chromaticity at(double t) {
        double u = (0.860117757 + 1.54118254e-4 * t + 1.28641212e-7 * t * t)
                / (1 + 8.42420235e-4 * t + 7.08145163e-7 * t * t);
        double v = (0.317398726 + 4.22806245e-5 * t + 4.20481691e-8 * t * t)
                / (1 - 2.89741816e-5 * t + 1.61456053e-7 * t * t);
        return new Chromaticity(u, v);
    }

    /** Off the locus by Duv along its normal (dv, −du)/|…|; positive is green. */
    static Chromaticity at(Kelvin kelvin, Duv duv) {
        Chromaticity on = at(kelvin.value());
        Chromaticity before = at(kelvin.value() - STEP_K);
        Chromaticity after = at(kelvin.value() + STEP_K);
        double du = after.u() - before.u();
        double dv = after.v() - before.v();
        double length = Math.hypot(du, dv);
        // T rises toward smaller u and v, so this normal has a positive v part over the whole range
        return new Chromaticity(on.u() + duv.value() * dv / length, on.v() - duv.value() * du / length);
    }
}
