package org.oblume.core.say;

/**
 * How much, as it was said.
 *
 * @param value in the unit; metres for a length
 * @param part whether it was said with a part: a half, 1.5
 */
record Amount(Unit unit, double value, boolean part) {

    /** What it counts. */
    enum Unit {
        /** No unit was said. */
        BARE,
        STOPS,
        METRES,
        PERCENT,
        DEGREES,
        KELVIN,
        MIRED,
        /** <em>A touch, a bit, a little</em>: so much as is usual of what it is of. */
        TOUCH,
        /** <em>A hair, a tad</em>: as little as one sets. */
        HAIR,
        /** <em>A lot, way</em>: nobody knows how much. */
        LOTS
    }

    boolean is(Unit other) {
        return unit == other;
    }

    boolean isNamed() {
        return unit == Unit.TOUCH || unit == Unit.HAIR;
    }

    /** What it is in something of which a touch and a hair are so much. */
    double or(double touch, double hair) {
        return unit == Unit.TOUCH ? touch : unit == Unit.HAIR ? hair : value;
    }

    /** Stops of light. */
    double stops() {
        return or(1 / 3.0, 0.1);
    }

    boolean areStops() {
        return unit == Unit.STOPS || isNamed() || (unit == Unit.BARE && part);
    }

    /** Metres along the floor or up. */
    double metres() {
        return or(0.1, 0.02);
    }

    /** Degrees of aim. */
    double degrees() {
        return or(3, 1);
    }
}
