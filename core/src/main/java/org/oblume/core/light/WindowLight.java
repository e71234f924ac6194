package org.oblume.core.light;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.plot.Daylight;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Site;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Stops;
import org.oblume.core.units.TStop;

/**
 * A window in the picture against the camera's stop (model: the pane is as bright all over as the sky that was metered at it; what stands
 * outside is not known).
 *
 * @param over the camera's stop, as a spot meter reads the pane against a grey card of 18 %
 * @param ndDensity of the sheets on the pane that hold it, a multiple of 0.3; 0 when it holds without
 * @param holding the camera's stop that holds it without sheets
 * @param timesTheLight that the set needs at that stop, to look as it does, 1 or more
 */
public record WindowLight(Stops over, double ndDensity, TStop holding, double timesTheLight) {

    /** A window this far over keeps something of what is outside (a setting of the model). */
    public static final double HOLDS_AT_STOPS = 3;

    private static final double GREY_CARD = 0.18;
    private static final double ND_STEP = 0.3;

    /** Empty when no daylight is metered there, or nothing of it is left. */
    public static Optional<WindowLight> of(
            @Nullable Site site, Placement window, RecordedState state, ShotLighting.Metering camera) {
        Optional<Daylight> metered = state.value(window.key(), Daylight.class);
        Optional<SourceColour> white = SourceColour.of(window, state);
        if (metered.isEmpty() || white.isEmpty()) {
            return Optional.empty();
        }
        double through = ConeLight.luminance(white.get()
                .behind(state.value(window.key(), Modifiers.class)
                        .orElse(Modifiers.NONE)
                        .items()));
        double lux = metered.get().skyLux() * SkyChange.of(site, metered.get()).sky() * through;
        return lux > 0 ? Optional.of(of(Illuminance.ofLux(lux), camera)) : Optional.empty();
    }

    /** @param pane what a meter at the pane reads from outside, above 0 */
    public static WindowLight of(Illuminance pane, ShotLighting.Metering camera) {
        double over = camera.exposure()
                .over(Illuminance.ofLux(pane.lux() / GREY_CARD), camera.stop())
                .value();
        double tooMuch = Math.max(0, over - HOLDS_AT_STOPS);
        double sheets = Math.ceil(tooMuch * Math.log10(2) / ND_STEP - 1e-9);
        return new WindowLight(
                Stops.of(over),
                sheets * ND_STEP,
                TStop.of(camera.stop().number() * Math.pow(2, tooMuch / 2)),
                Math.pow(2, tooMuch));
    }
}
