package org.oblume.core.colour;

import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/** The colour of a white light as it is dialled or metered: correlated colour temperature and tint. */
public record WhitePoint(Kelvin kelvin, Duv duv) {

    public static WhitePoint of(Kelvin kelvin, Duv duv) {
        return new WhitePoint(kelvin, duv);
    }

    /** CIE 1931 x. */
    public double x() {
        return chromaticity().x();
    }

    /** CIE 1931 y. */
    public double y() {
        return chromaticity().y();
    }

    Chromaticity chromaticity() {
        return PlanckianLocus.at(kelvin, duv);
    }
}
