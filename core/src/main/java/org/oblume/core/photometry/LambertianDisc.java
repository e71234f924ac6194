package org.oblume.core.photometry;

import java.util.OptionalDouble;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Stops;

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

    /**
     * A board that a head is bounced off (model).
     *
     * @param areaM2 of the board, m², above 0
     * @param distanceM from the head to the board, metres, above 0
     * @param incidenceRad angle at which the light meets the board, radians, 0 to below π/2
     * @param reflectance 0 to 1
     */
    public static LambertianDisc bounced(
            Distribution beam, double areaM2, double distanceM, double incidenceRad, double reflectance) {
        Checks.within("reflectance", "The reflectance", reflectance, 0, 1, "");
        double cosine = Math.max(0, Math.cos(incidenceRad));
        return caught(beam, areaM2, distanceM, Math.sqrt(cosine), reflectance);
    }

    /**
     * A diffusion frame squarely in front of a head (model): the flux that meets it leaves it, less its stops.
     *
     * @param areaM2 of the frame, m², above 0
     * @param distanceM from the head to the frame, metres, above 0
     */
    public static LambertianDisc diffused(Distribution beam, double areaM2, double distanceM, Stops lost) {
        return caught(beam, areaM2, distanceM, 1, lost.transmission());
    }

    private static LambertianDisc caught(
            Distribution beam, double areaM2, double distanceM, double foreshortening, double kept) {
        double radius = Math.sqrt(Checks.above0("areaM2", "The area", areaM2, " m²") / Math.PI);
        Checks.above0("distanceM", "The distance", distanceM, " m");
        double lumen = beam.lumenWithin(Math.atan(radius * foreshortening / distanceM));
        return new LambertianDisc(
                lumen * kept / Math.PI,
                Math.min(radius, beam.litRadiusM(distanceM).orElse(radius)));
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
