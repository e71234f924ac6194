package org.oblume.core.metering;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.LightColour;
import org.oblume.core.filter.StockItem;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;

/**
 * A light read alone beside what was predicted of it.
 *
 * @param predictedLux towards the light at the mark, lux
 * @param calibration measured / predicted; null when no light was read, or none predicted
 * @param mired read less predicted, + is warmer; null when the colour was not read or cannot be predicted
 * @param duv read less predicted, + is greener; null as well
 * @param likely what explains the difference, the likeliest first; none when there is nothing to explain
 */
public record SoloCheck(
        double predictedLux,
        @Nullable Calibration calibration,
        @Nullable Double mired,
        @Nullable Double duv,
        List<FaultHypothesis> likely) {

    public SoloCheck {
        likely = List.copyOf(likely);
    }

    /**
     * @param reading of one light alone
     * @param light of the shot as it is recorded, calibrated by what was read before
     */
    public static SoloCheck of(
            Reading reading,
            Placement source,
            RecordedState state,
            ShotLighting light,
            List<StockItem> stock,
            FaultHypothesis.Uncertainty spread) {
        double predicted = light.facingLux(source.key(), reading.mark());
        Calibration calibration = reading.lux() == null || !(predicted > 0)
                ? null
                : Calibration.of(Illuminance.ofLux(predicted), Illuminance.ofLux(reading.lux()));
        Optional<LightColour> colour =
                colour(source, state).filter(c -> c.gels().isEmpty());
        Double kelvinRead = reading.kelvin();
        Double duvRead = reading.duv();
        Double mired = kelvinRead == null
                ? null
                : colour.map(c -> Kelvin.of(kelvinRead).mired()
                                - c.white().kelvin().mired())
                        .orElse(null);
        Double duv = duvRead == null
                ? null
                : colour.map(c -> duvRead - c.white().duv().value()).orElse(null);
        List<FaultHypothesis> likely = calibration == null && mired == null
                ? List.of()
                : FaultHypothesis.explaining(
                        source,
                        state,
                        stock,
                        calibration == null ? 0 : calibration.stops().value(),
                        mired,
                        duv,
                        spread);
        return new SoloCheck(predicted, calibration, mired, duv, likely);
    }

    /** The colour that a light is recorded to leave its filters with; empty when it is not recorded or cannot be. */
    public static Optional<LightColour> colour(Placement source, RecordedState state) {
        try {
            Modifiers stack = state.value(source.key(), Modifiers.class).orElse(Modifiers.NONE);
            double tint = state.value(source.key(), Tint.class).map(Tint::duv).orElse(0.0);
            return state.value(source.key(), ColourTemperature.class)
                    .map(d -> stack.colour(Kelvin.of(d.kelvin()), Duv.of(tint)));
        } catch (Refusal notAColour) {
            return Optional.empty();
        }
    }

    /** Whether something cannot be as recorded (formulas, "Light falling on a mark": more than 1.5 stops). */
    public boolean isDoubtful() {
        return calibration != null && calibration.isDoubtful(Calibration.DOUBTFUL_FROM);
    }

    /** Whether all that was read is within these of what was predicted, limits included. */
    public boolean holds(double stops, double miredWithin, double duvWithin) {
        return (calibration == null || Math.abs(calibration.stops().value()) <= stops)
                && (mired == null || Math.abs(mired) <= miredWithin)
                && (duv == null || Math.abs(duv) <= duvWithin);
    }
}
