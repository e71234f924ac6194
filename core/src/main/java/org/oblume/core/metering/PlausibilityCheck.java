package org.oblume.core.metering;

import java.util.Comparator;
import java.util.Map;
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

    /** As far as a light has to be over what is predicted before another is taken to be on as well, stops. */
    private static final double LEFT_ON_FROM_STOPS = 0.7;

    /** As near as the two together have to be to what is read, stops. */
    private static final double LEFT_ON_WITHIN_STOPS = 0.25;

    private static final double AS_PREDICTED_STOPS = 0.3;

    private PlausibilityCheck() {}

    /**
     * Whether another light was on as well when one was read alone.
     *
     * @param lux read
     * @param own predicted of the one that is meant, on a meter turned to it, lux
     * @param others predicted of each other light on that same meter, lux, by their names
     * @return a sentence that asks, or empty when no other light explains it
     */
    public static Optional<String> leftOn(double lux, double own, Map<String, Double> others) {
        if (!(own > 0) || Stops.fromRatio(lux / own).value() < LEFT_ON_FROM_STOPS) {
            return Optional.empty();
        }
        return others.entrySet().stream()
                .filter(other -> off(lux, own + other.getValue()) < LEFT_ON_WITHIN_STOPS)
                .min(Comparator.comparingDouble(other -> off(lux, own + other.getValue())))
                .map(other ->
                        "That is what it and %s give together: was %s left on? Switch it off and read again; say that it is so to keep it."
                                .formatted(other.getKey(), other.getKey()));
    }

    /**
     * Whether a place that read as predicted reads otherwise now, though nothing is predicted otherwise.
     *
     * @param before the newest reading of the same place, lux, or null
     * @return a sentence that asks, or empty when they agree, or the newer one is the nearer one
     */
    public static Optional<String> again(double lux, @Nullable Double before, double predictedLux) {
        return before == null
                        || !(predictedLux > 0)
                        || off(before, predictedLux) > AS_PREDICTED_STOPS
                        || off(lux, before) <= BOTH_METERS_STOPS
                ? Optional.empty()
                : Optional.of(
                        "It read as predicted here before, and %s stops %s now: was something switched, is it another meter, or did the mark move? Look again; say that it is so, and the newest holds."
                                .formatted(Stops.of(off(lux, before)).inTenths(), lux > before ? "more" : "less"));
    }

    private static double off(double one, double other) {
        return Math.abs(Stops.fromRatio(one / other).value());
    }

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
