package org.oblume.server.light;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.bust.Bust;
import org.oblume.core.light.BustReading;

/**
 * The bust at a mark as the camera shows it.
 *
 * @param colours of its facets, {@code #rrggbb}, in the order of the bust's own
 * @param cameraTurnDeg where the camera is seen from the mark, clockwise from the way that the face looks; null without one
 * @param cameraTiltDeg how high, + above the eyes; null as well
 * @param noseShadowOf name of the light that throws the nose's shadow, or null when none does
 * @param noseShadowDeg where it falls: 0 straight down, + to the subject's own left; null as well
 * @param triangle what becomes of the far cheek, null as well
 * @param eyeLights the lights that are seen in its eyes, the brightest first
 * @param onNose names of edge lights that catch the nose
 * @param inGlasses names of lights that the camera sees in the glasses that are worn there
 * @param litOverStops the lit cheek with the bust's own shadow on it, in the mean, from the camera's stop; null in the dark
 * @param shadowOverStops the other, likewise
 */
public record BustView(
        String mark,
        List<String> colours,
        @Nullable Double cameraTurnDeg,
        @Nullable Double cameraTiltDeg,
        @Nullable String noseShadowOf,
        @Nullable Double noseShadowDeg,
        BustReading.@Nullable Triangle triangle,
        List<SeenInEyes> eyeLights,
        List<String> onNose,
        List<String> inGlasses,
        @Nullable Double litOverStops,
        @Nullable Double shadowOverStops) {

    /**
     * @param light name of it
     * @param inLeft whether in the subject's own left eye
     * @param inRight whether in the other
     * @param leftOnIt where it is on the ball of the eye, to its own left, in its radii
     * @param upOnIt and up
     */
    public record SeenInEyes(String light, boolean inLeft, boolean inRight, double leftOnIt, double upOnIt) {}

    /**
     * The bust's own form, metres: forward, to its own left, above the eyes.
     *
     * @param facets by facet and corner
     */
    public record BustForm(List<double[][]> facets) {

        static BustForm plain() {
            return new BustForm(
                    Bust.plain().facets().stream().map(Bust.Facet::corners).toList());
        }
    }
}
