package org.oblume.core.photometry;

import org.oblume.core.units.Stops;

/** How a fixture's output follows its level, both as parts of full, 0 to 1. */
public enum LevelCurve {
    LINEAR("linear"),
    SQUARE("square"),
    S_CURVE("s-curve"),
    TUNGSTEN("tungsten, voltage");

    private static final double FILAMENT_OUTPUT = 3.4;
    private static final double FILAMENT_COLOUR = 0.42;
    private static final double FILAMENT_POWER = 1.54;
    private final String label;

    LevelCurve(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** {@code p}, {@code p²}, {@code 3p² − 2p³}; a filament {@code p^3.4}, p the voltage fraction (model). */
    public double output(double level) {
        return switch (this) {
            case LINEAR -> level;
            case SQUARE -> level * level;
            case S_CURVE -> level * level * (3 - 2 * level);
            case TUNGSTEN -> Math.pow(level, FILAMENT_OUTPUT);
        };
    }

    /**
     * How far a lamp is below its full output, stops.
     *
     * @param level above 0 to 1
     */
    public Stops headroom(double level) {
        return Stops.fromRatio(1 / output(level));
    }

    /** The level that gives an output: the inverse of {@link #output}. */
    public double level(double output) {
        return switch (this) {
            case LINEAR -> output;
            case SQUARE -> Math.sqrt(output);
            case S_CURVE -> 0.5 - Math.sin(Math.asin(1 - 2 * output) / 3);
            case TUNGSTEN -> Math.pow(output, 1 / FILAMENT_OUTPUT);
        };
    }

    /** Factor on the colour temperature at full: a filament reddens by {@code p^0.42} (model), others stay. */
    public double kelvinFactor(double level) {
        return this == TUNGSTEN ? Math.pow(level, FILAMENT_COLOUR) : 1;
    }

    /**
     * Power drawn at a level, watts: {@code idle + (W − idle) · output}; a filament {@code W · p^1.54}, which has no idle.
     *
     * @param watts at full
     * @param idleWatts drawn when it is on and dark
     */
    public double drawWatts(double watts, double idleWatts, double level) {
        return this == TUNGSTEN
                ? watts * Math.pow(level, FILAMENT_POWER)
                : idleWatts + (watts - idleWatts) * output(level);
    }
}
