package org.oblume.core.photometry;

import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Stops;

/**
 * What a solo meter reading says about a prediction: {@code k = measured / predicted}, by which later predictions of that
 * placement are scaled.
 */
public record Calibration(double k) {

    public static final Calibration NONE = new Calibration(1);
    /** Beyond this, something is not as recorded. */
    public static final Stops DOUBTFUL_FROM = Stops.of(1.5);

    /**
     * @param predicted above 0
     * @param measured above 0
     */
    public static Calibration of(Illuminance predicted, Illuminance measured) {
        return new Calibration(Stops.fromRatio(measured.lux() / predicted.lux()).ratio());
    }

    public Stops stops() {
        return Stops.fromRatio(k);
    }

    /** Whether the reading is so far off that something cannot be as recorded. */
    public boolean isDoubtful(Stops from) {
        return Math.abs(stops().value()) > from.value();
    }
}
