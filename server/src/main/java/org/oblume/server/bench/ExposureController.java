package org.oblume.server.bench;

import org.jspecify.annotations.Nullable;
import org.oblume.core.exposure.ContrastRatio;
import org.oblume.core.exposure.Exposure;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.TStop;
import org.oblume.server.call.Asks;
import org.oblume.server.call.ForAnyone;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Exposure, and contrast by both schools. */
@ForAnyone
@Asks
@RestController
@RequestMapping("/api/bench")
class ExposureController {

    record MeteredStop(
            @Nullable Double lux,
            @Nullable Double footcandles,
            @Nullable Double iso,
            @Nullable Double shutterSeconds,
            @Nullable Double fps,
            @Nullable Double shutterAngleDeg,
            @Nullable Double lensNdStops,
            @Nullable Double calibrationConstant,
            @Nullable Double tStop) {

        Illuminance light() {
            if ((lux == null) == (footcandles == null)) {
                throw new Refusal("lux", "Give the light in lux or in footcandles, one of the two.");
            }
            return lux != null
                    ? Illuminance.ofLux(Checks.above0("lux", "The light", RequestValues.number("lux", lux), " lux"))
                    : Illuminance.ofFootcandles(Checks.above0(
                            "footcandles", "The light", RequestValues.number("footcandles", footcandles), " fc"));
        }

        double seconds() {
            if ((shutterSeconds != null && (fps != null || shutterAngleDeg != null))
                    || (shutterSeconds == null && fps == null && shutterAngleDeg == null)) {
                throw new Refusal("shutterSeconds", "Give the shutter in seconds, or as a frame rate and an angle.");
            }
            return shutterSeconds != null
                    ? RequestValues.number("shutterSeconds", shutterSeconds)
                    : Exposure.seconds(
                            RequestValues.number("fps", fps), RequestValues.number("shutterAngleDeg", shutterAngleDeg));
        }
    }

    /**
     * @param label the nearest third
     * @param requiredLux and {@code stopsOver}: only when a stop was given
     */
    record Exposed(double tStop, String label, @Nullable Double requiredLux, @Nullable Double stopsOver) {}

    @PostMapping("/exposure")
    Exposed exposure(@RequestBody MeteredStop asked) {
        Illuminance light = asked.light();
        Exposure camera = new Exposure(
                RequestValues.number("iso", asked.iso()),
                asked.seconds(),
                RequestValues.number("lensNdStops", asked.lensNdStops(), 0),
                RequestValues.number("calibrationConstant", asked.calibrationConstant(), Exposure.DEFAULT_CALIBRATION));
        TStop asks = camera.stop(light);
        if (asked.tStop() == null) {
            return new Exposed(asks.number(), asks.label(), null, null);
        }
        TStop set = RequestValues.value("tStop", asked.tStop(), TStop::of);
        return new Exposed(
                asks.number(),
                asks.label(),
                camera.required(set).lux(),
                camera.over(light, set).value());
    }

    /** How the two sides were read. */
    enum Mode {
        SIGNAL,
        T_STOP,
        LUX
    }

    record TwoSides(@Nullable Mode mode, @Nullable ShippedCurve curve, @Nullable Double lit, @Nullable Double shadow) {}

    record Ratio(double ratio, double stops) {

        static Ratio of(ContrastRatio ratio) {
            return new Ratio(ratio.ratio(), ratio.stops().value());
        }
    }

    @PostMapping("/ratio")
    Ratio ratio(@RequestBody TwoSides asked) {
        Mode mode = RequestValues.required("mode", asked.mode());
        if ((mode == Mode.SIGNAL) != (asked.curve() != null)) {
            throw new Refusal(
                    "curve",
                    mode == Mode.SIGNAL
                            ? "Say through which curve the signal is read; NONE is the quick division."
                            : "A curve belongs to a signal reading: leave it out.");
        }
        double lit = RequestValues.number("lit", asked.lit());
        double shadow = RequestValues.number("shadow", asked.shadow());
        return Ratio.of(
                switch (mode) {
                    case SIGNAL ->
                        ContrastRatio.fromSignal(lit, shadow, RequestValues.required("curve", asked.curve()));
                    case T_STOP ->
                        ContrastRatio.fromTStops(
                                RequestValues.value("lit", lit, TStop::of),
                                RequestValues.value("shadow", shadow, TStop::of));
                    case LUX -> ContrastRatio.fromLux(lit, shadow);
                });
    }

    record KeyAndFill(@Nullable Double keyLux, @Nullable Double fillLux) {}

    record BothSchools(double keyToFill, double litToShadow, double keyToFillStops, double litToShadowStops) {}

    @PostMapping("/lights-ratio")
    BothSchools lightsRatio(@RequestBody KeyAndFill asked) {
        double key = RequestValues.number("keyLux", asked.keyLux());
        double fill = RequestValues.number("fillLux", asked.fillLux());
        Ratio alone = Ratio.of(ContrastRatio.keyToFill(key, fill));
        Ratio sides = Ratio.of(ContrastRatio.litToShadow(key, fill));
        return new BothSchools(alone.ratio(), sides.ratio(), alone.stops(), sides.stops());
    }
}
