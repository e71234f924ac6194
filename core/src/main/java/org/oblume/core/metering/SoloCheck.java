package org.oblume.core.metering;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.LightMix;
import org.oblume.core.filter.StockItem;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Kelvin;

/**
 * A light read alone beside what was predicted of it.
 *
 * @param predictedLux at the mark, the meter turned as it was, by every way, lux
 * @param predictedWhite of that light there; null in the dark and when it is a colour
 * @param calibration measured / predicted; null when no light was read, or none predicted
 * @param mired read less predicted, + is warmer; null when the colour was not read or cannot be predicted
 * @param duv read less predicted, + is greener; null as well
 * @param likely what explains the difference, the likeliest first; none when there is nothing to explain
 */
public record SoloCheck(
        double predictedLux,
        @Nullable ColourReading predictedWhite,
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
        Optional<LightMix> predicted = light.metered(source.key(), reading.mark(), reading.towards());
        double lux = predicted.map(LightMix::lux).orElse(0.0);
        Calibration calibration = reading.lux() == null || !(lux > 0)
                ? null
                : Calibration.of(Illuminance.ofLux(lux), Illuminance.ofLux(reading.lux()));
        @Nullable
        ColourReading white =
                predicted.map(LightMix::reading).filter(ColourReading::isWhite).orElse(null);
        Double kelvinRead = reading.kelvin();
        Double duvRead = reading.duv();
        Double mired = kelvinRead == null || white == null
                ? null
                : Double.valueOf(Kelvin.MIRED_PRODUCT / kelvinRead - Kelvin.MIRED_PRODUCT / white.kelvin());
        Double duv = duvRead == null || white == null ? null : Double.valueOf(duvRead - white.duv());
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
        return new SoloCheck(lux, white, calibration, mired, duv, likely);
    }

    /** Whether something cannot be as recorded (formulas, "Light falling on a mark": more than 1.5 stops). */
    public boolean isDoubtful() {
        return calibration != null && calibration.isDoubtful();
    }

    /** Whether all that was read is within these of what was predicted, limits included. */
    public boolean holds(double stops, double miredWithin, double duvWithin) {
        return (calibration == null || within(calibration.stops().value(), stops))
                && (mired == null || within(mired, miredWithin))
                && (duv == null || within(duv, duvWithin));
    }

    private static boolean within(double off, double limit) {
        return Math.abs(off) <= limit * (1 + Checks.LIMIT_SLACK);
    }
}
