package org.oblume.core.photo;

import org.oblume.core.geometry.SpacePoint;

/**
 * Where a point of space falls in a picture, and how that changes with the point and with the pose. A pose is a row of
 * {@link #UNKNOWNS}: place x, y, z in metres, bearing, tilt and roll in radians, logarithm of the focal length in pixels.
 */
final class Pinhole {

    static final int UNKNOWNS = 7;
    static final int X = 0;
    static final int Y = 1;
    static final int Z = 2;
    static final int BEARING = 3;
    static final int TILT = 4;
    static final int ROLL = 5;
    static final int LOG_FOCAL = 6;
    static final int SPACE = 3;
    static final int PICTURE = 2;

    /** Nearer than this before the lens nothing is seen, metres. */
    private static final double NEAREST_M = 0.02;

    private final Frame frame;
    private final double[] at;
    private final double focal;
    /** To the right of the picture, up it, and along the axis; and how each turns with bearing, tilt and roll. */
    private final double[][] axes;

    private final double[][][] turns;

    Pinhole(Frame frame, double[] pose) {
        this.frame = frame;
        this.at = pose.clone();
        this.focal = Math.exp(pose[LOG_FOCAL]);
        double sinB = Math.sin(pose[BEARING]);
        double cosB = Math.cos(pose[BEARING]);
        double sinT = Math.sin(pose[TILT]);
        double cosT = Math.cos(pose[TILT]);
        double sinR = Math.sin(pose[ROLL]);
        double cosR = Math.cos(pose[ROLL]);
        double[] level = {sinB, cosB, 0};
        double[] right = {cosB, -sinB, 0};
        double[] axis = {sinB * cosT, cosB * cosT, sinT};
        double[] up = {-sinB * sinT, -cosB * sinT, cosT};
        double[] rolledRight = sum(right, cosR, up, -sinR);
        double[] rolledUp = sum(up, cosR, right, sinR);
        this.axes = new double[][] {rolledRight, rolledUp, axis};
        this.turns = new double[][][] {
            {sum(level, -cosR, right, sinT * sinR), sum(right, -sinT * cosR, level, -sinR), sum(right, cosT, up, 0)},
            {sum(axis, sinR, up, 0), sum(axis, -cosR, up, 0), up},
            {sum(rolledUp, -1, up, 0), rolledRight, new double[SPACE]}
        };
    }

    private static double[] sum(double[] one, double a, double[] other, double b) {
        return new double[] {
            a * one[0] + b * other[0], a * one[1] + b * other[1], a * one[2] + b * other[2],
        };
    }

    private static double dot(double[] one, double[] other) {
        return one[0] * other[0] + one[1] * other[1] + one[2] * other[2];
    }

    /**
     * Bearing, tilt within a right angle, and roll of a camera, radians.
     *
     * @param right to the right of its picture, of length 1
     * @param axis as well
     */
    static double[] held(double[] right, double[] axis) {
        double bearing = Math.atan2(axis[0], axis[1]);
        double tilt = Math.asin(Math.max(-1, Math.min(1, axis[2])));
        double level = right[0] * Math.cos(bearing) - right[1] * Math.sin(bearing);
        return new double[] {bearing, tilt, Math.atan2(-right[2], Math.cos(tilt) * level)};
    }

    double[] held() {
        return held(axes[0], axes[2]);
    }

    Frame frame() {
        return frame;
    }

    SpacePoint place() {
        return new SpacePoint(at[X], at[Y], at[Z]);
    }

    private double[] from(SpacePoint point) {
        return new double[] {point.xM() - at[X], point.yM() - at[Y], point.zM() - at[Z]};
    }

    /** Where it is seen; of what is before the lens only. */
    Tap project(SpacePoint point) {
        double[] to = from(point);
        double deep = dot(to, axes[2]);
        return new Tap(
                frame.middleU() + focal * dot(to, axes[0]) / deep, frame.middleV() - focal * dot(to, axes[1]) / deep);
    }

    boolean isBefore(SpacePoint point) {
        return dot(from(point), axes[2]) > NEAREST_M;
    }

    /** The way, of length 1, to what was tapped there. */
    double[] ray(Tap tap) {
        double right = (tap.u() - frame.middleU()) / focal;
        double up = (frame.middleV() - tap.v()) / focal;
        double length = Math.sqrt(right * right + up * up + 1);
        return new double[] {
            (axes[2][0] + right * axes[0][0] + up * axes[1][0]) / length,
            (axes[2][1] + right * axes[0][1] + up * axes[1][1]) / length,
            (axes[2][2] + right * axes[0][2] + up * axes[1][2]) / length,
        };
    }

    /** u and v by each of the unknowns of the pose, pixels. */
    double[][] byPose(SpacePoint point) {
        double[] to = from(point);
        double[] seen = {dot(to, axes[0]), dot(to, axes[1]), dot(to, axes[2])};
        double[][] by = new double[PICTURE][UNKNOWNS];
        for (int k = 0; k < SPACE; k++) {
            put(by, k, seen, -axes[0][k], -axes[1][k], -axes[2][k]);
            double[][] turn = turns[k];
            put(by, BEARING + k, seen, dot(to, turn[0]), dot(to, turn[1]), dot(to, turn[2]));
        }
        by[0][LOG_FOCAL] = focal * seen[0] / seen[2];
        by[1][LOG_FOCAL] = -focal * seen[1] / seen[2];
        return by;
    }

    /** u and v by the point's x, y and z, pixels a metre. */
    double[][] byPoint(SpacePoint point) {
        double[] to = from(point);
        double[] seen = {dot(to, axes[0]), dot(to, axes[1]), dot(to, axes[2])};
        double[][] by = new double[PICTURE][SPACE];
        for (int k = 0; k < SPACE; k++) {
            put(by, k, seen, axes[0][k], axes[1][k], axes[2][k]);
        }
        return by;
    }

    private void put(double[][] by, int unknown, double[] seen, double right, double up, double deep) {
        by[0][unknown] = focal * (right - seen[0] * deep / seen[2]) / seen[2];
        by[1][unknown] = -focal * (up - seen[1] * deep / seen[2]) / seen[2];
    }
}
