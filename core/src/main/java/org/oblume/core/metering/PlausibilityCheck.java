package org.oblume.core.metering;

import java.util.Optional;
import java.util.stream.Collectors;
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
     * One light alone.
     *
     * @param check of that reading against its prediction
     * @param allLux read with all lights at the same mark, lux, or null
     * @return a sentence that asks, or empty when it may well be so
     */
    public static Optional<String> alone(Reading reading, SoloCheck check, @Nullable Double allLux) {
        if (reading.lux() == null) {
            return Optional.empty();
        }
        if (allLux != null && Stops.fromRatio(reading.lux() / allLux).value() > BOTH_METERS_STOPS) {
            return Optional.of(
                    "One light alone reads %s stop more than all of them together, which no meter is out by. Was another light left on, or the meter turned?"
                            .formatted(Stops.fromRatio(reading.lux() / allLux).inTenths()));
        }
        if (!check.isDoubtful()) {
            return Optional.empty();
        }
        String likely =
                check.likely().stream().limit(2).map(FaultHypothesis::words).collect(Collectors.joining("; or "));
        return Optional.of(asks(
                reading.lux() / check.predictedLux(),
                likely.isEmpty() ? "Something is not as recorded." : "Likely: %s.".formatted(likely)));
    }

    /**
     * All lights.
     *
     * @param predictedLux on the lit cheek, lux; 0 when nothing is predicted
     * @return a sentence that asks, or empty when it may well be so
     */
    public static Optional<String> all(Reading reading, double predictedLux) {
        return reading.lux() == null
                        || !(predictedLux > 0)
                        || Math.abs(Stops.fromRatio(reading.lux() / predictedLux)
                                        .value())
                                <= CANNOT_BE_STOPS
                ? Optional.empty()
                : Optional.of(asks(reading.lux() / predictedLux, "No meter is out by that."));
    }

    private static String asks(double ratio, String why) {
        double off = Stops.fromRatio(ratio).value();
        double units = Stops.fromRatio(Illuminance.LUX_PER_FOOTCANDLE).value();
        String unit = Math.abs(off - units) < SAME_STOPS
                ? " As lux it would fit: was fc typed for lux?"
                : Math.abs(off + units) < SAME_STOPS ? " As foot-candles it would fit: was it fc?" : "";
        return "That is %s stops %s what is predicted. %s%s Look again; say that it is so to keep it."
                .formatted(Stops.of(Math.abs(off)).inTenths(), off > 0 ? "over" : "under", why, unit);
    }
}
