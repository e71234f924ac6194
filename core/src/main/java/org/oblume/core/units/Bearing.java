package org.oblume.core.units;

import java.util.List;
import java.util.OptionalDouble;

/**
 * A direction on the plan, clockwise from the plan's +y.
 *
 * @param degrees 0 to below 360; any finite number is brought into it
 */
public record Bearing(double degrees) {

    private static final double FULL_CIRCLE = 360;
    private static final List<String> POINTS =
            List.of("north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west");

    public Bearing {
        double turned = Checks.finite("A bearing", degrees) % FULL_CIRCLE;
        degrees = turned < 0 ? turned + FULL_CIRCLE : turned;
        if (degrees == FULL_CIRCLE || degrees == 0) {
            degrees = 0;
        }
    }

    public static Bearing ofDegrees(double degrees) {
        return new Bearing(degrees);
    }

    /** The way from one point to another {@code dx} metres to the right and {@code dy} up the plan; 0 for no way. */
    public static Bearing fromOffset(double dx, double dy) {
        return new Bearing(Math.toDegrees(Math.atan2(dx, dy)));
    }

    /** Reads {@code 220}, {@code 220°}, {@code 220 deg}. */
    public static Bearing parse(String text) {
        OptionalDouble read = Numbers.read(text.strip().replaceFirst("(?i)\\s*(°|deg|degrees)$", ""));
        if (read.isEmpty()) {
            throw new Refusal("“%s” is not a bearing: type degrees such as 220.".formatted(text));
        }
        return new Bearing(read.getAsDouble());
    }

    /** How far one turns from another bearing to this one, degrees, above −180 to 180; clockwise is positive. */
    public double minus(Bearing other) {
        double clockwise = (degrees - other.degrees + FULL_CIRCLE) % FULL_CIRCLE;
        return clockwise > FULL_CIRCLE / 2 ? clockwise - FULL_CIRCLE : clockwise;
    }

    /** The nearest of eight points, for a bearing from north: {@code north-east}. */
    public String compass() {
        return POINTS.get((int) Math.round(degrees / FULL_CIRCLE * POINTS.size()) % POINTS.size());
    }

    /** Whole degrees, three figures, so that it is never taken for a tilt: {@code 049°}. */
    public String print() {
        return "%03d°".formatted(Math.floorMod(Math.round(degrees), (int) FULL_CIRCLE));
    }
}
