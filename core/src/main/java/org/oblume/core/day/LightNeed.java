package org.oblume.core.day;

import org.oblume.core.geometry.SunDirection;

/** The light of the day that a shot can only be shot in. */
public enum LightNeed {
    /** Any will do. */
    ANY("any light"),
    /** The sun above the horizon. */
    DAY("daylight"),
    /** The sun from the horizon to 6° below. */
    DUSK("dusk or dawn"),
    /** The sun lower than 6° below the horizon. */
    NIGHT("night"),
    /** The sun on its mark. */
    SUN("sun on the mark");

    private static final double DARK_DEG = -6;
    private static final double GOLDEN_FROM_DEG = -4;
    private static final double GOLDEN_TO_DEG = 6;
    private final String label;

    LightNeed(String label) {
        this.label = label;
    }

    /** Whether it is the golden hour, as crews call it: the sun from 4° below the horizon to 6° above it (a setting of the model). */
    public static boolean isGolden(SunDirection sun) {
        return sun.elevationDeg() >= GOLDEN_FROM_DEG && sun.elevationDeg() <= GOLDEN_TO_DEG;
    }

    /** What it is called. */
    public String label() {
        return label;
    }

    /** Whether it is so by where the sun stands; of the sun on a mark only that it is up. */
    public boolean is(SunDirection sun) {
        double elevation = sun.elevationDeg();
        return switch (this) {
            case ANY -> true;
            case DAY, SUN -> elevation > 0;
            case DUSK -> elevation <= 0 && elevation >= DARK_DEG;
            case NIGHT -> elevation < DARK_DEG;
        };
    }
}
