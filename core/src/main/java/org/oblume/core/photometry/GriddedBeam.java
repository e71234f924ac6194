package org.oblume.core.photometry;

import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.oblume.core.units.Checks;

/**
 * Light behind a grid (model): on its axis as it was, off it as weak as the narrower of both beams.
 *
 * @param inner light before the grid
 * @param beamDeg full angle at half intensity that the grid leaves, degrees, above 0 to 180
 */
public record GriddedBeam(Distribution inner, double beamDeg) implements Distribution {

    public GriddedBeam {
        Checks.above0("beamDeg", "The grid's beam", beamDeg, "°");
    }

    @Override
    public double candela(double offAxisRad) {
        double cut = inner.candela(0) * new BeamShape(1, beamDeg).candela(offAxisRad);
        return Math.min(inner.candela(offAxisRad), cut);
    }

    @Override
    public double extentRad() {
        return Math.min(inner.extentRad(), new BeamShape(1, beamDeg).extentRad());
    }

    @Override
    public OptionalDouble litRadiusM(double distanceM) {
        return DoubleStream.concat(
                        inner.litRadiusM(distanceM).stream(), new BeamShape(1, beamDeg).litRadiusM(distanceM).stream())
                .min();
    }
}
