package org.oblume.core.plot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.photometry.BeamShape;
import org.oblume.core.photometry.Distribution;
import org.oblume.core.photometry.IsotropicSource;
import org.oblume.core.photometry.MeasuredBeam;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * The light that a fixture gives at full, at both ends of its focus or zoom; the same twice when it has none. Figures of
 * the shipped kit are plausible for their kind, not measured.
 *
 * @param spotCandela peak intensity at spot, candela, above 0
 * @param spotBeamDeg full beam at half intensity at spot, degrees, 1 to 180
 * @param floodCandela at flood
 * @param floodBeamDeg at flood, not narrower than spot
 * @param measured a measured beam, which then holds instead of the model, or null
 */
public record Optics(
        double spotCandela,
        double spotBeamDeg,
        double floodCandela,
        double floodBeamDeg,
        @Nullable MeasuredBeam measured) {

    /** A beam this wide is a bare bulb, as bright behind as in front (model). */
    private static final double ALL_ROUND_DEG = 180;

    public Optics {
        Checks.above0("spotCandela", "The peak intensity at spot", spotCandela, " cd");
        Checks.above0("floodCandela", "The peak intensity at flood", floodCandela, " cd");
        new Beam(spotBeamDeg);
        new Beam(floodBeamDeg);
        if (floodBeamDeg < spotBeamDeg) {
            throw new Refusal(
                    "floodBeamDeg", "The beam at flood is narrower than at spot: give them the other way round.");
        }
    }

    boolean isAllRound() {
        return measured == null && spotBeamDeg == ALL_ROUND_DEG;
    }

    /** How it spreads its light when it is focused to a beam; beyond its ends it is taken at the end. */
    public Distribution at(double beamDeg) {
        if (measured != null) {
            return measured;
        }
        if (spotBeamDeg == ALL_ROUND_DEG) {
            return new IsotropicSource(spotCandela);
        }
        BeamShape spot = new BeamShape(spotCandela, spotBeamDeg);
        double range = floodBeamDeg - spotBeamDeg;
        return range == 0
                ? spot
                : BeamShape.zoomed(
                        spot,
                        new BeamShape(floodCandela, floodBeamDeg),
                        Math.max(0, Math.min(1, (beamDeg - spotBeamDeg) / range)));
    }
}
