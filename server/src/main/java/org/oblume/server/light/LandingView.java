package org.oblume.server.light;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.light.Touched;
import org.oblume.core.units.Phrase;

/**
 * The light on a small surface that somebody points at.
 *
 * @param name of the furniture that it is on, or null
 * @param place where it is, in words
 * @param lux of all of it, printed
 * @param stop what a meter there would say at the camera's ISO and shutter; null in the dark and without an exposure
 * @param from what each source brings, the strongest first; those that bring nothing are left out
 */
record LandingView(
        Touched.On on,
        @Nullable String name,
        double xM,
        double yM,
        double zM,
        Phrase place,
        Phrase lux,
        @Nullable String stop,
        LightView.CheekView light,
        List<Landed> from) {

    /** @param part of all the light there, 0 to 1 */
    record Landed(String key, String name, LightView.OnSide light, double part) {}
}
