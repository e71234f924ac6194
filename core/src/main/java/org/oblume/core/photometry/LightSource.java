package org.oblume.core.photometry;

import org.oblume.core.colour.LightColour;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Checks;

/**
 * One source as it stands and shines, behind its modifiers.
 *
 * @param at middle of its emitter
 * @param bearing it is aimed along
 * @param tiltDeg it is aimed at, down is negative
 * @param emitterRadiusM of a disc of the emitter's area, metres, 0 or more
 * @param output part of full, 0 to 1
 * @param calibration against the meter
 */
public record LightSource(SpacePoint at, Bearing bearing, double tiltDeg, Spread spread, double emitterRadiusM,
        double output, LightColour colour, Calibration calibration) {

    /** What a mirror sends back unless it is known better. */
    public static final double MIRROR_REFLECTANCE = 0.9;

    public LightSource {
        Checks.notBelow0("emitterRadiusM", "The emitter's radius", emitterRadiusM, " m");
        output = Checks.within("output", "The output", output, 0, 1, "");
    }

    /**
     * This source as it shines out of an upright mirror: its image, at the whole way to the mirror and on.
     *
     * @param on a point of the mirror
     * @param normal the way the mirror faces, level
     * @param reflectance 0 to 1, usually {@link #MIRROR_REFLECTANCE}
     */
    public LightSource mirrored(SpacePoint on, Bearing normal, double reflectance) {
        double nx = Math.sin(Math.toRadians(normal.degrees()));
        double ny = Math.cos(Math.toRadians(normal.degrees()));
        double before = (at.xM() - on.xM()) * nx + (at.yM() - on.yM()) * ny;
        SpacePoint image = new SpacePoint(at.xM() - 2 * before * nx, at.yM() - 2 * before * ny, at.zM());
        Bearing turned = Bearing.ofDegrees(2 * normal.degrees() + 180 - bearing.degrees());
        return new LightSource(image, turned, tiltDeg, spread, emitterRadiusM,
                output * Checks.within("reflectance", "The mirror's reflectance", reflectance, 0, 1, ""), colour, calibration);
    }

    /**
     * What reaches a small surface: {@code E = I(θ) · output · k / (d² + r²)}, turned from the light by the factor of a
     * finite source, {@code max(0, (cos θ + sin α) / (1 + sin α))} with {@code α = atan(r/d)} (model).
     *
     * @param surface where it is
     * @param normalBearing the way it faces, level
     * @return lux; 0 at the source's own place
     */
    double lux(SpacePoint surface, Bearing normalBearing) {
        double dx = surface.xM() - at.xM();
        double dy = surface.yM() - at.yM();
        double dz = surface.zM() - at.zM();
        double squared = dx * dx + dy * dy + dz * dz;
        if (squared == 0) {
            return 0;
        }
        double distance = Math.sqrt(squared);
        double tilt = Math.toRadians(tiltDeg);
        double turn = Math.toRadians(bearing.degrees());
        double along = (dx * Math.sin(turn) * Math.cos(tilt) + dy * Math.cos(turn) * Math.cos(tilt) + dz * Math.sin(tilt))
                / distance;
        double candela = spread.candela(Math.acos(Math.max(-1, Math.min(1, along))));
        double normal = Math.toRadians(normalBearing.degrees());
        double facing = -(dx * Math.sin(normal) + dy * Math.cos(normal)) / distance;
        double softness = emitterRadiusM / Math.hypot(distance, emitterRadiusM);
        double turned = Math.max(0, (facing + softness) / (1 + softness));
        return candela * output * calibration.k() * turned / (squared + emitterRadiusM * emitterRadiusM);
    }
}
