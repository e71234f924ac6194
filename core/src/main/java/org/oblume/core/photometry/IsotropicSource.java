package org.oblume.core.photometry;

import java.util.OptionalDouble;
import org.oblume.core.units.Checks;

/**
 * A bare bulb (model): as bright in every direction.
 *
 * @param candela 0 or more
 */
public record IsotropicSource(double candela) implements Distribution {

    public IsotropicSource {
        Checks.notBelow0("candela", "The intensity", candela, " cd");
    }

    @Override
    public double candela(double offAxisRad) {
        return candela;
    }

    @Override
    public double extentRad() {
        return Math.PI;
    }

    @Override
    public OptionalDouble litRadiusM(double distanceM) {
        return OptionalDouble.empty();
    }
}
