package org.oblume.core.still;

import org.jspecify.annotations.Nullable;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.units.Stops;

/**
 * What is read at a named point of a still.
 *
 * @param x from the left edge, 0 to 1
 * @param y from the upper edge, 0 to 1
 * @param percent of its signal
 * @param clipped whether there was more light than the signal holds
 * @param stops of the light that made it over a grey card at the camera's stop; null where the curve tells none
 */
public record StillFigure(String name, double x, double y, double percent, boolean clipped, @Nullable Double stops) {

    private static final double PERCENT = 100;

    public static StillFigure of(Signal signal, String name, double x, double y, SignalCurve curve) {
        double percent = signal.percent(x, y);
        return new StillFigure(name, x, y, percent, percent > PERCENT * Signal.CLIPPED, stops(percent, curve));
    }

    /**
     * Stops of the light behind a signal over a grey card at the camera's stop; null where the curve tells none.
     *
     * @param percent of the signal
     */
    public static @Nullable Double stops(double percent, SignalCurve curve) {
        double light = curve.light(percent);
        return light > 0
                ? Double.valueOf(Stops.fromRatio(light / SignalCurve.GREY).value())
                : null;
    }

    /** Stops that this is over the like point of another still; null where either tells no light. */
    public @Nullable Double over(StillFigure other) {
        return stops == null || other.stops == null ? null : Double.valueOf(stops - other.stops);
    }
}
