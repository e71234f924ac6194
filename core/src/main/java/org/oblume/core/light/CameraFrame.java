package org.oblume.core.light;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Placement;

/**
 * What a camera frames: a pyramid from its lens. The sensor is 16 : 9 and the lens has no distortion (model).
 *
 * @param lens where it is
 * @param axis the way it looks
 * @param widthTan half the frame's width at a distance of 1, {@code w / 2f}
 */
public record CameraFrame(SpacePoint lens, Direction axis, double widthTan) {

    /** Height over width of the frame. */
    public static final double ASPECT = 9.0 / 16;

    /** Empty until the camera's place, aim and lens are recorded. */
    public static Optional<CameraFrame> of(Placement camera, RecordedState state) {
        return state.position(camera.key())
                .flatMap(lens -> state.aim(camera.key()).flatMap(aim -> state.value(camera.key(), Lens.class)
                        .map(l -> new CameraFrame(
                                lens,
                                Direction.of(aim.bearing(), aim.tiltDeg()),
                                Math.tan(Math.toRadians(l.viewDeg(camera.piece().widthM()) / 2))))));
    }

    /**
     * Where a point is in the frame.
     *
     * @param x to the right, −1 at the left edge to 1 at the right
     * @param y up, −1 at the lower edge to 1 at the upper
     * @param depthM in front of the lens along its axis, metres
     */
    public record Seen(double x, double y, double depthM) {

        public boolean inside() {
            return Math.abs(x) < 1 && Math.abs(y) < 1;
        }
    }

    /** Null for a point behind the lens. */
    public @Nullable Seen see(SpacePoint point) {
        double dx = point.xM() - lens.xM();
        double dy = point.yM() - lens.yM();
        double dz = point.zM() - lens.zM();
        double depth = dx * axis.x() + dy * axis.y() + dz * axis.z();
        if (depth <= 1e-6) {
            return null;
        }
        Direction right = right();
        Direction up = right.cross(axis);
        double across = dx * right.x() + dy * right.y() + dz * right.z();
        double above = dx * up.x() + dy * up.y() + dz * up.z();
        return new Seen(across / (depth * widthTan), above / (depth * widthTan * ASPECT), depth);
    }

    /** To the right in the frame. */
    public Direction right() {
        return axis.aside().opposite();
    }
}
