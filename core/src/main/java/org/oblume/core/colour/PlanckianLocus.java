package org.oblume.core.colour;

import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/**
 * Chromaticity of white light by Krystek's approximation of the Planckian locus (M. Krystek, "An algorithm to calculate
 * correlated colour temperature", Color Research and Application 10, 1985). Fitted to about 15000 K; used up to 25000 K
 * as a model, about 5 % low in kelvin at that end.
 */
final class PlanckianLocus {

    private static final Quotient U =
            new Quotient(0.860117757, 1.54118254e-4, 1.28641212e-7, 8.42420235e-4, 7.08145163e-7);
    private static final Quotient V =
            new Quotient(0.317398726, 4.22806245e-5, 4.20481691e-8, -2.89741816e-5, 1.61456053e-7);
    private static final double STEP_K = 1;
    private static final double FIRST_MIRED = Kelvin.MIRED_PRODUCT / Kelvin.HIGHEST;
    /** Fine enough that the nearest point is between the neighbours of the nearest grid point. */
    private static final double GRID_MIRED = 10;

    private static final double MIRED_PRECISION = 1e-7;
    private static final Chromaticity[] GRID = grid();

    private PlanckianLocus() {}

    /** A quotient of two quadratics, the lower one starting at 1. */
    private record Quotient(double a0, double a1, double a2, double b1, double b2) {

        double at(double t) {
            return (a0 + a1 * t + a2 * t * t) / (1 + b1 * t + b2 * t * t);
        }

        double slope(double t) {
            double under = 1 + b1 * t + b2 * t * t;
            return ((a1 + 2 * a2 * t) * under - (a0 + a1 * t + a2 * t * t) * (b1 + 2 * b2 * t)) / (under * under);
        }
    }

    /** The point of the locus at a temperature in kelvin. */
    static Chromaticity at(double t) {
        return new Chromaticity(U.at(t), V.at(t));
    }

    /** Off the locus by Duv along its normal (dv, −du)/|…|; positive is green. */
    static Chromaticity at(Kelvin kelvin, Duv duv) {
        return at(kelvin.value(), duv.value());
    }

    static Chromaticity at(double kelvin, double tint) {
        Chromaticity on = at(kelvin);
        Chromaticity before = at(kelvin - STEP_K);
        Chromaticity after = at(kelvin + STEP_K);
        double du = after.u() - before.u();
        double dv = after.v() - before.v();
        double length = Math.hypot(du, dv);
        // T rises toward smaller u and v, so this normal has a positive v part over the whole range
        return new Chromaticity(on.u() + tint * dv / length, on.v() - tint * du / length);
    }

    /**
     * What a colour meter reads of a chromaticity: the nearest point of the locus in u,v, searched in mired (40 to 1000),
     * and the signed distance to it. Beyond an end of the locus it is that end, with the sign of the side of its tangent.
     */
    static ColourReading reading(Chromaticity seen) {
        int nearest = 0;
        double least = Double.MAX_VALUE;
        for (int i = 0; i < GRID.length; i++) {
            double gap = squaredGap(GRID[i], seen);
            if (gap < least) {
                least = gap;
                nearest = i;
            }
        }
        double low = FIRST_MIRED + Math.max(0, nearest - 1) * GRID_MIRED;
        double high = FIRST_MIRED + Math.min(GRID.length - 1, nearest + 1) * GRID_MIRED;
        double kelvin = Kelvin.MIRED_PRODUCT / nearest(low, high, seen);
        Chromaticity on = at(kelvin);
        double side = (seen.u() - on.u()) * V.slope(kelvin) - (seen.v() - on.v()) * U.slope(kelvin);
        return new ColourReading(
                Math.max(Kelvin.LOWEST, Math.min(Kelvin.HIGHEST, kelvin)),
                Math.copySign(Math.sqrt(squaredGap(on, seen)), side));
    }

    /** Where the pull is 0 between two places, by regula falsi with the Illinois rule; an end when it does not change sign. */
    private static double nearest(double low, double high, Chromaticity seen) {
        double atLow = pull(low, seen);
        double atHigh = pull(high, seen);
        if (atLow <= 0) {
            return low;
        }
        if (atHigh >= 0) {
            return high;
        }
        double before = low;
        double mired = high;
        while (Math.abs(mired - before) > MIRED_PRECISION) {
            before = mired;
            mired = (low * atHigh - high * atLow) / (atHigh - atLow);
            double at = pull(mired, seen);
            if (at > 0) {
                low = mired;
                atLow = at;
                atHigh /= 2;
            } else {
                high = mired;
                atHigh = at;
                atLow /= 2;
            }
        }
        return mired;
    }

    /** Positive when the nearest point lies at more mired than this. */
    private static double pull(double mired, Chromaticity seen) {
        double t = Kelvin.MIRED_PRODUCT / mired;
        Chromaticity on = at(t);
        return -((seen.u() - on.u()) * U.slope(t) + (seen.v() - on.v()) * V.slope(t));
    }

    private static double squaredGap(Chromaticity a, Chromaticity b) {
        return (a.u() - b.u()) * (a.u() - b.u()) + (a.v() - b.v()) * (a.v() - b.v());
    }

    private static Chromaticity[] grid() {
        double last = Kelvin.MIRED_PRODUCT / Kelvin.LOWEST;
        Chromaticity[] grid = new Chromaticity[(int) Math.round((last - FIRST_MIRED) / GRID_MIRED) + 1];
        for (int i = 0; i < grid.length; i++) {
            grid[i] = at(Kelvin.MIRED_PRODUCT / (FIRST_MIRED + i * GRID_MIRED));
        }
        return grid;
    }
}
