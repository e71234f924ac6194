package org.oblume.core.picture;

import org.oblume.core.geometry.Direction;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.units.Checks;

/**
 * A camera's frame, cut into dots.
 *
 * @param camera what it frames, without distortion (model)
 * @param width dots across, 16 to 1920; the frame is 16 : 9
 */
public record FrameView(CameraFrame camera, int width) {

    private static final int LEAST = 16;
    private static final int MOST = 1920;

    public FrameView {
        Checks.within("width", "The width of a picture", width, LEAST, MOST, " dots");
    }

    public int height() {
        return (int) Math.round(width * CameraFrame.ASPECT);
    }

    /** The same with as many dots across. */
    public FrameView of(int dots) {
        return new FrameView(camera, dots);
    }

    /** Half of what a dot in the middle sees, radians. */
    double halfDot() {
        return camera.widthTan() / width;
    }

    /** What turns places in the frame into ways to look. */
    Rays rays() {
        return new Rays(this);
    }

    /** Ways from the lens through the frame. */
    static final class Rays {

        private final int width;
        private final int height;
        private final Direction axis;
        private final double[] right;
        private final double[] up;

        private Rays(FrameView view) {
            width = view.width;
            height = view.height();
            axis = view.camera.axis();
            double tan = view.camera.widthTan();
            Direction across = view.camera.right();
            Direction above = across.cross(axis);
            right = new double[] {tan * across.x(), tan * across.y(), tan * across.z()};
            double high = tan * height / width;
            up = new double[] {high * above.x(), high * above.y(), high * above.z()};
        }

        /**
         * @param x dots from the left edge
         * @param y dots from the upper edge
         * @param way of length 1, is filled
         */
        void into(double x, double y, double[] way) {
            double a = 2 * x / width - 1;
            double b = 1 - 2 * y / height;
            way[0] = axis.x() + a * right[0] + b * up[0];
            way[1] = axis.y() + a * right[1] + b * up[1];
            way[2] = axis.z() + a * right[2] + b * up[2];
            double length = Math.sqrt(way[0] * way[0] + way[1] * way[1] + way[2] * way[2]);
            way[0] /= length;
            way[1] /= length;
            way[2] /= length;
        }
    }
}
