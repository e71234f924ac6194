package org.oblume.core.geometry;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;

/**
 * The way a head points.
 *
 * @param bearing clockwise from the plan's +y; 0 when straight up or down
 * @param tiltDeg degrees from level, −90 to 90, down is negative
 * @param distanceM straight line in space to what it is aimed at, metres, above 0; null when it is aimed along a bearing, at nothing
 */
public record Aim(Bearing bearing, double tiltDeg, @Nullable Double distanceM) {

    /** {@code bearing = atan2(dx, dy)}, {@code tilt = atan2(dz, horizontal)} (formulas, "Geometry"). */
    public static Aim between(SpacePoint from, SpacePoint to) {
        double dx = to.xM() - from.xM();
        double dy = to.yM() - from.yM();
        double dz = to.zM() - from.zM();
        double across = Math.hypot(dx, dy);
        double distance = Math.hypot(across, dz);
        if (distance == 0) {
            throw new Refusal("to", "It is aimed at its own place: choose another point to aim at.");
        }
        Bearing bearing = across == 0 ? Bearing.ofDegrees(0) : Bearing.fromOffset(dx, dy);
        return new Aim(bearing, Math.toDegrees(Math.atan2(dz, across)), distance);
    }
}
