package org.oblume.core.geometry;

import java.util.List;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/**
 * A place that was found by photographs: by their landmarks where each was taken from, and by those where the thing stands.
 *
 * @param point the place found
 * @param sigmaFloorM one standard deviation on the floor, metres, 0 to 100
 * @param photographs how many it was tapped in, 1 to 6
 * @param landmarks that were tapped in them, where they were drawn then
 */
public record Photographed(PlanPoint point, double sigmaFloorM, int photographs, List<Landmark> landmarks) {

    private static final double GOOD_TO_M = 0.05;
    private static final double FAIR_TO_M = 0.15;
    private static final double MOST_M = 100;
    private static final int MOST_PHOTOGRAPHS = 6;

    public Photographed {
        Checks.within("measured", "A place’s spread", sigmaFloorM, 0, MOST_M, Checks.METRES);
        Checks.within("measured", "The number of photographs", photographs, 1, MOST_PHOTOGRAPHS, "");
        landmarks = List.copyOf(landmarks);
    }

    /** GOOD to 0.05 m of spread, FAIR to 0.15 m, else POOR; limits are inside. */
    public static Crossing quality(double sigmaFloorM) {
        if (sigmaFloorM <= GOOD_TO_M) {
            return Crossing.GOOD;
        }
        return sigmaFloorM <= FAIR_TO_M ? Crossing.FAIR : Crossing.POOR;
    }

    /** {@code by 3 photographs, within 60 mm}. */
    public Phrase phrase() {
        return Phrase.format(
                "%s, within %s", how(), Length.ofMetres(sigmaFloorM).small());
    }

    String how() {
        return photographs == 1 ? "by a photograph and its height" : "by %d photographs".formatted(photographs);
    }
}
