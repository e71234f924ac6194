package org.oblume.core.photo;

/** How well a place by photographs is known on the floor. */
public enum PhotoQuality {
    GOOD,
    FAIR,
    POOR;

    private static final double GOOD_TO_M = 0.05;
    private static final double FAIR_TO_M = 0.15;

    /** GOOD to 0.05 m of spread, FAIR to 0.15 m, else POOR; limits are inside. */
    public static PhotoQuality of(double sigmaFloorM) {
        if (sigmaFloorM <= GOOD_TO_M) {
            return GOOD;
        }
        return sigmaFloorM <= FAIR_TO_M ? FAIR : POOR;
    }
}
