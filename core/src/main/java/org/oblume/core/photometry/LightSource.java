package org.oblume.core.photometry;

import org.oblume.core.colour.LightColour;
import org.oblume.core.geometry.Direction;
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
 * @param output part of full, 0 or more
 * @param calibration against the meter
 */
public record LightSource(
        SpacePoint at,
        Bearing bearing,
        double tiltDeg,
        Distribution distribution,
        double emitterRadiusM,
        double output,
        LightColour colour,
        Calibration calibration) {

    /** What a mirror sends back unless it is known better. */
    public static final double MIRROR_REFLECTANCE = 0.9;

    public LightSource {
        Checks.notBelow0("emitterRadiusM", "The emitter's radius", emitterRadiusM, " m");
        Checks.notBelow0("output", "The output", output, "");
    }

    /**
     * This source as it shines out of a mirror: its image, at the whole way to the mirror and on.
     *
     * @param on a point of the mirror
     * @param normal the way the mirror faces
     * @param reflectance 0 to 1, usually {@link #MIRROR_REFLECTANCE}
     */
    public LightSource mirrored(SpacePoint on, Direction normal, double reflectance) {
        double before =
                (at.xM() - on.xM()) * normal.x() + (at.yM() - on.yM()) * normal.y() + (at.zM() - on.zM()) * normal.z();
        Direction turned = aim().mirrored(normal);
        return new LightSource(
                normal.from(at, -2 * before),
                turned.bearing(),
                turned.tiltDeg(),
                distribution,
                emitterRadiusM,
                output * Checks.within("reflectance", "The mirror's reflectance", reflectance, 0, 1, ""),
                colour,
                calibration);
    }

    public Direction aim() {
        return Direction.of(bearing, tiltDeg);
    }

    /**
     * The same light in another strength and colour.
     *
     * @param part of what it was, 0 or more
     */
    public LightSource dimmed(double part, LightColour behind) {
        return new LightSource(at, bearing, tiltDeg, distribution, emitterRadiusM, output * part, behind, calibration);
    }

    /**
     * What reaches a small surface: {@code E = I(θ) · output · k / (d² + r²)}, turned from the light by the factor of a
     * finite source, {@code max(0, (cos θ + sin α) / (1 + sin α))} with {@code α = atan(r/d)} (model). Nothing stands in
     * the way.
     *
     * @param surface where it is
     * @param normal the way it faces
     * @return lux; 0 at the source's own place
     */
    public double lux(SpacePoint surface, Direction normal) {
        double distance = at.distanceM(surface);
        if (distance == 0) {
            return 0;
        }
        double facing = -Direction.between(at, surface).dot(normal);
        double softness = emitterRadiusM / Math.hypot(distance, emitterRadiusM);
        return facingLux(surface) * Math.max(0, (facing + softness) / (1 + softness));
    }

    /** What reaches a meter that is turned to it: {@code I(θ) · output · k / (d² + r²)}, lux; 0 at its own place. */
    public double facingLux(SpacePoint surface) {
        double distance = at.distanceM(surface);
        if (distance == 0) {
            return 0;
        }
        double along = Direction.between(at, surface).dot(aim());
        return distribution.candela(Math.acos(Math.max(-1, Math.min(1, along))))
                * output
                * calibration.k()
                / (distance * distance + emitterRadiusM * emitterRadiusM);
    }
}
