package org.oblume.core.exposure;

import org.oblume.core.units.Stops;

/** From a level on the monitor, percent of the video range, to the light that made it, relative to 1: a grey card at the camera's stop is 0.18. */
public sealed interface SignalCurve permits ShippedCurve, SignalTable {

    /** A grey card at the camera's stop. */
    double GREY = 0.18;

    /** Relative light of a reading in percent of the video range; 0, below, or not a number when there is none to tell. */
    double light(double percent);

    /**
     * The reading that a light makes, percent of the video range; of a light that clips, that of the range's end or more.
     *
     * @param light relative to 1, 0 or more
     */
    double percent(double light);

    /** The most light that the range holds. */
    double top();

    /** Whether a light is more than the range holds. */
    default boolean clips(double light) {
        return light > top();
    }

    /** As it is named beside a figure. */
    String label();

    /** What it makes of a grey card, for whoever checks that it is the right one. */
    default String say() {
        return "A grey card at the camera's stop reads %d %%, a stop under it %d %%; it clips %s stops over it."
                .formatted(
                        Math.round(percent(GREY)),
                        Math.round(percent(GREY / 2)),
                        Stops.fromRatio(top() / GREY).inTenths());
    }
}
