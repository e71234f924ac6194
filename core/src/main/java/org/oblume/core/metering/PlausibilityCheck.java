package org.oblume.core.metering;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Stops;

/** Whether a reading can be what it says. One that cannot is asked back before it is kept. */
public final class PlausibilityCheck {

    /** Farther from a prediction than this no light is that stands and burns at all as recorded, stops (a setting of the model). */
    private static final double CANNOT_BE_STOPS = 3;

    private static final double SAME_STOPS = 0.7;
    private static final double BOTH_METERS_STOPS = 0.5;

    private PlausibilityCheck() {}

    /**
     * @param predictedLux of the same light at the same place, lux; 0 when nothing is predicted
     * @param allLux read with all lights at the same mark, lux, or null
     * @return a sentence that asks, or empty when it may well be so
     */
    public static Optional<String> of(Reading reading, double predictedLux, @Nullable Double allLux) {
        if (reading.lux() == null) {
            return Optional.empty();
        }
        if (reading.alone() != null
                && allLux != null
                && Stops.fromRatio(reading.lux() / allLux).value() > BOTH_METERS_STOPS) {
            return Optional.of(
                    "One light alone reads %s stop more than all of them together, which no meter is out by. Was another light left on, or the meter turned?"
                            .formatted(Stops.fromRatio(reading.lux() / allLux).inTenths()));
        }
        if (!(predictedLux > 0)) {
            return Optional.empty();
        }
        double off = Stops.fromRatio(reading.lux() / predictedLux).value();
        if (Math.abs(off) <= CANNOT_BE_STOPS) {
            return Optional.empty();
        }
        double units = Stops.fromRatio(Illuminance.LUX_PER_FOOTCANDLE).value();
        String unit = Math.abs(off - units) < SAME_STOPS
                ? " As lux it would fit: was fc typed for lux?"
                : Math.abs(off + units) < SAME_STOPS ? " As foot-candles it would fit: was it fc?" : "";
        return Optional.of(
                "That is %s stops %s what is predicted, more than a meter could be out.%s Look again; keep it if it is so."
                        .formatted(Stops.of(Math.abs(off)).inTenths(), off > 0 ? "over" : "under", unit));
    }
}
