package org.oblume.core.colour;

import org.oblume.core.units.Checks;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.MiredShift;
import org.oblume.core.units.Refusal;

/**
 * What to dial a fixture to so that it measures a target, from what it measured when dialled to something else. Its path
 * (modifiers, walls, its own error) shifts by {@code s = 1e6/M − 1e6/D}; dial {@code 1e6 / (1e6/T − s)}, and likewise
 * {@code dialDuv = targetDuv − (measuredDuv − dialledDuv)} (formulas, "Colour temperature").
 *
 * @param dialKelvin within the fixture's range
 * @param dialDuv to dial; not limited, the fixture may not reach it
 * @param reachable whether the range allows it; kelvin alone decides
 * @param residual measured-to-be minus target, + is too warm; 0 when reachable
 * @param path what lies between what is dialled and what is measured
 */
public record DialCorrection(
        double dialKelvin, double dialDuv, boolean reachable, MiredShift residual, MiredShift path) {

    /**
     * @param lowest of the fixture
     * @param highest of the fixture, not below the lowest
     */
    public static DialCorrection of(
            WhitePoint dialled, WhitePoint measured, WhitePoint target, Kelvin lowest, Kelvin highest) {
        if (lowest.value() > highest.value()) {
            throw new Refusal("minKelvin", "The fixture's lowest colour temperature is above its highest: swap them.");
        }
        MiredShift path = MiredShift.between(dialled.kelvin(), measured.kelvin());
        double needed = target.kelvin().mired() - path.value();
        double duv =
                target.duv().value() - (measured.duv().value() - dialled.duv().value());
        double coolest = highest.mired();
        double warmest = lowest.mired();
        boolean reachable =
                needed >= coolest * (1 - Checks.LIMIT_SLACK) && needed <= warmest * (1 + Checks.LIMIT_SLACK);
        double dial = Math.max(coolest, Math.min(warmest, needed));
        return new DialCorrection(
                Kelvin.MIRED_PRODUCT / dial,
                duv,
                reachable,
                reachable ? MiredShift.NONE : MiredShift.of(dial - needed),
                path);
    }
}
