package org.oblume.core.photometry;

import java.util.OptionalDouble;
import org.oblume.core.units.Checks;

/**
 * A beam (model): with a bright middle, {@code I(θ) = I₀ · 2^(−(θ/(β/2))²)}, below 90°; {@code I₀ · cosᵐ θ} with
 * {@code m = ln 0.5 / ln cos(β/2)} from there on. Nothing goes backwards. A measured file replaces it.
 *
 * @param peakCandela on the axis, candela, above 0
 * @param beamDeg full angle at half intensity, degrees, above 0 to 180
 */
public record BeamShape(double peakCandela, double beamDeg) implements Distribution {

    private static final double WIDEST_DEG = 180;
    /** From here on a beam is a surface's more than a lens's. */
    private static final double WIDE_DEG = 90;
    /** {@code √log₂10}: half beams from the axis to a tenth of the peak. */
    private static final double TENTH_AT_HALF_BEAMS = 1.823;

    private static final double DARK_AT_HALF_BEAMS = 3.5;

    public BeamShape {
        Checks.above0("peakCandela", "The peak intensity", peakCandela, " cd");
        Checks.above0("beamDeg", "The beam", beamDeg, "°");
        beamDeg = Checks.within("beamDeg", "The beam", beamDeg, 0, WIDEST_DEG, "°");
    }

    /**
     * Between spot and flood: ln I₀ and β go linearly.
     *
     * @param part of the way from spot to flood, 0 to 1
     */
    public static BeamShape zoomed(BeamShape spot, BeamShape flood, double part) {
        double p = Checks.within("zoom", "The zoom", part, 0, 1, "");
        double peak = Math.exp((1 - p) * Math.log(spot.peakCandela) + p * Math.log(flood.peakCandela));
        return new BeamShape(peak, (1 - p) * spot.beamDeg + p * flood.beamDeg);
    }

    @Override
    public double candela(double offAxisRad) {
        if (beamDeg >= WIDE_DEG) {
            double cosine = Math.cos(offAxisRad);
            return cosine <= 0 ? 0 : peakCandela * Math.pow(cosine, power());
        }
        double halves = Math.toDegrees(offAxisRad) / (beamDeg / 2);
        return peakCandela * Math.pow(2, -halves * halves);
    }

    private double power() {
        double half = Math.cos(Math.toRadians(beamDeg / 2));
        return half <= 0 ? 0 : Math.log(0.5) / Math.log(half);
    }

    /** Three half beams and a half: below a five-thousandth of the peak; not past the side. */
    @Override
    public double extentRad() {
        return beamDeg >= WIDE_DEG
                ? Math.PI / 2
                : Math.min(Math.PI / 2, Math.toRadians(DARK_AT_HALF_BEAMS * beamDeg / 2));
    }

    /** Radius of the patch that is lit to a tenth of its middle, {@code d·tan(1.823·β/2)}, metres; no end from 90° on. */
    @Override
    public OptionalDouble litRadiusM(double distanceM) {
        double half = Math.toRadians(TENTH_AT_HALF_BEAMS * beamDeg / 2);
        return half >= Math.PI / 2 ? OptionalDouble.empty() : OptionalDouble.of(distanceM * Math.tan(half));
    }
}
