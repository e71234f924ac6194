package org.oblume.core.geometry;

import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;

/**
 * A direction in space: a vector of length 1, x to the right, y up the plan, z up from the floor.
 *
 * @param x part along x, −1 to 1
 * @param y part along y
 * @param z part along z
 */
public record Direction(double x, double y, double z) {

    public static final Direction UP = new Direction(0, 0, 1);
    public static final Direction DOWN = new Direction(0, 0, -1);

    /**
     * Brings a vector to length 1.
     *
     * @throws Refusal for a vector without a direction: of length 0, or not finite
     */
    public Direction {
        double length = Math.sqrt(x * x + y * y + z * z);
        if (!(length > 0 && length < Double.POSITIVE_INFINITY)) {
            throw new Refusal(
                    "Two things are in the very same place, so that there is no way from one to the other: move one of them.");
        }
        x /= length;
        y /= length;
        z /= length;
    }

    /** @param tiltDeg degrees from level, down is negative */
    public static Direction of(Bearing bearing, double tiltDeg) {
        double turn = Math.toRadians(bearing.degrees());
        double tilt = Math.toRadians(tiltDeg);
        return new Direction(Math.sin(turn) * Math.cos(tilt), Math.cos(turn) * Math.cos(tilt), Math.sin(tilt));
    }

    /**
     * From one point to another.
     *
     * @throws Refusal when they are the same
     */
    public static Direction between(SpacePoint from, SpacePoint to) {
        return new Direction(to.xM() - from.xM(), to.yM() - from.yM(), to.zM() - from.zM());
    }

    /** Cosine of the angle between two directions. */
    public double dot(Direction other) {
        return x * other.x + y * other.y + z * other.z;
    }

    /** The angle to another direction, radians, 0 to π. */
    public double angleTo(Direction other) {
        return Math.acos(Math.max(-1, Math.min(1, dot(other))));
    }

    /**
     * Square to two others.
     *
     * @throws Refusal when they are the same or opposite
     */
    public Direction cross(Direction other) {
        return new Direction(y * other.z - z * other.y, z * other.x - x * other.z, x * other.y - y * other.x);
    }

    public Direction opposite() {
        return new Direction(-x, -y, -z);
    }

    /** After a mirror that faces along a normal: {@code d − 2(d·n)n}. */
    public Direction mirrored(Direction normal) {
        double twice = 2 * dot(normal);
        return new Direction(x - twice * normal.x, y - twice * normal.y, z - twice * normal.z);
    }

    /** The point so many metres on from another. */
    public SpacePoint from(SpacePoint start, double metres) {
        return new SpacePoint(start.xM() + x * metres, start.yM() + y * metres, start.zM() + z * metres);
    }

    /** Some direction square to this one. */
    public Direction aside() {
        return Math.abs(z) > 0.9 ? new Direction(0, 1, 0).cross(this) : UP.cross(this);
    }

    /** 0 when it is straight up or down. */
    public Bearing bearing() {
        return x == 0 && y == 0 ? Bearing.ofDegrees(0) : Bearing.fromOffset(x, y);
    }

    /** Degrees from level, down is negative. */
    public double tiltDeg() {
        return Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, z))));
    }
}
