package org.oblume.core.light;

import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.units.Bearing;

/**
 * Two lenses before the eyes (model: pieces of a sphere, turned a little outwards and down as glasses sit; the head is held level).
 */
public final class Glasses {

    /** Between the middles of the lenses, metres. */
    private static final double APART_M = 0.064;
    /** A lens is a piece of a sphere of this radius, metres: six dioptres in front. */
    private static final double RADIUS_M = 0.088;

    private static final double WIDE_M = 0.050;
    private static final double HIGH_M = 0.038;
    private static final double DOWN_DEG = 8;
    private static final double OUTWARDS_DEG = 5;
    /** A head is not held still, degrees. */
    private static final double SWAY_DEG = 2;

    private static final double HALF_WIDE_DEG = Math.toDegrees(Math.asin(WIDE_M / 2 / RADIUS_M));
    private static final double HALF_HIGH_DEG = Math.toDegrees(Math.asin(HIGH_M / 2 / RADIUS_M));

    private Glasses() {}

    /** Whether a camera sees a source in either lens. */
    public static boolean mirror(SpacePoint camera, MarkLight mark, MarkLight.SourceAtMark source) {
        return source.hasDirection()
                && !source.allAround()
                && (mirrors(camera, mark, source, -1) || mirrors(camera, mark, source, 1));
    }

    /** How high over level a source has to come from so that no lens shows it, degrees. */
    public static double clearDeg(SpacePoint camera, MarkLight mark, MarkLight.SourceAtMark source) {
        double toCameraDeg = Direction.between(mark.face(), camera).tiltDeg();
        return 2 * (HALF_HIGH_DEG - DOWN_DEG + SWAY_DEG) + source.angularSizeDeg() / 2 - toCameraDeg;
    }

    /** @param side −1 for the lens at the subject's own left, 1 for the right one */
    private static boolean mirrors(SpacePoint camera, MarkLight mark, MarkLight.SourceAtMark source, int side) {
        SpacePoint glass =
                Direction.of(Bearing.ofDegrees(mark.facing().degrees() + 90), 0).from(mark.face(), side * APART_M / 2);
        SpacePoint from = source.direction().from(mark.face(), source.throwM());
        if (glass.coincides(camera) || glass.coincides(from)) {
            return false;
        }
        Direction toCamera = Direction.between(glass, camera);
        Direction toSource = Direction.between(glass, from);
        double x = toCamera.x() + toSource.x();
        double y = toCamera.y() + toSource.y();
        double z = toCamera.z() + toSource.z();
        if (Math.sqrt(x * x + y * y + z * z) < 1e-6) {
            return false;
        }
        Direction normal = new Direction(x, y, z);
        Direction facing = Direction.of(mark.facing(), 0);
        if (normal.dot(facing) <= 0 || toCamera.dot(facing) <= 0) {
            return false;
        }
        double aside = normal.bearing().minus(Bearing.ofDegrees(mark.facing().degrees() + side * OUTWARDS_DEG));
        double slack = SWAY_DEG + source.angularSizeDeg() / 4;
        return Math.abs(aside) < HALF_WIDE_DEG + slack && Math.abs(normal.tiltDeg() + DOWN_DEG) < HALF_HIGH_DEG + slack;
    }
}
