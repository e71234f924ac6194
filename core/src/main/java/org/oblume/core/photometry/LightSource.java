package org.oblume.core.photometry;

import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Checks;

/**
 * One source as it looks from the set.
 *
 * @param at middle of what shines
 * @param bearing it is aimed along
 * @param tiltDeg it is aimed at, down is negative
 * @param emitterRadiusM of a disc of the area that shines, metres, 0 or more
 */
public record LightSource(
        SpacePoint at, Bearing bearing, double tiltDeg, Distribution distribution, double emitterRadiusM) {

    public LightSource {
        Checks.notBelow0("emitterRadiusM", "The emitter's radius", emitterRadiusM, " m");
    }

    public Direction aim() {
        return Direction.of(bearing, tiltDeg);
    }
}
