package org.oblume.core.light;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.GelColour;
import org.oblume.core.colour.LightMix;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Kelvin;

/**
 * The white that a lamp makes as it is dialled and dimmed, and its colour behind what hangs before it (light.md, 11 and 12).
 *
 * @param mired colour temperature, warmer when a filament is dimmed
 * @param duv tint, + is green
 * @param hue that a full-colour head adds to it
 */
public record SourceColour(double mired, double duv, Colour hue) {

    private static final double DAY_KELVIN = 6500;

    /** What one more thing before a light makes of it. */
    public record Step(Modifier item, LightMix behind) {}

    /** Empty until a lamp's white is recorded; daylight is taken as 6500 K until then. */
    public static Optional<SourceColour> of(Placement placement, RecordedState state) {
        String key = placement.key();
        return state.value(key, ColourTemperature.class)
                .map(ColourTemperature::kelvin)
                .or(() -> placement.kind() == PlacementKind.DAYLIGHT ? Optional.of(DAY_KELVIN) : Optional.empty())
                .map(dialled -> new SourceColour(
                        Kelvin.MIRED_PRODUCT / (dialled * warmth(placement, state)),
                        state.value(key, Tint.class).map(Tint::duv).orElse(0.0),
                        state.value(key, Colour.class).orElse(Colour.WHITE)));
    }

    /** The same behind all that is recorded to hang before it. */
    public static Optional<LightMix> leaving(Placement placement, RecordedState state) {
        return of(placement, state)
                .map(white -> white.leaving(state.value(placement.key(), Modifiers.class)
                        .orElse(Modifiers.NONE)
                        .items()));
    }

    /** What dimming leaves of a filament's colour temperature, a part. */
    static double warmth(Placement placement, RecordedState state) {
        Lamp lamp = placement.piece().lamp();
        double level = state.level(placement.key());
        return lamp == null || level <= 0 ? 1 : lamp.curve().kelvinFactor(level);
    }

    /** Behind these, in order from the lens out; Y is what they leave of 1. */
    public LightMix leaving(List<Modifier> items) {
        return ConeLight.mix(behind(items));
    }

    /** Behind the first of these, behind the first two, and so on. */
    public List<Step> steps(List<Modifier> items) {
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            steps.add(new Step(items.get(i), leaving(items.subList(0, i + 1))));
        }
        return steps;
    }

    /**
     * Clear correction at the head first, on the dialled white; then the hue, saturated gels, cloths and what hangs on a frame of its own.
     *
     * @return by channel, Y of the light itself being 1
     */
    public double[] behind(List<Modifier> items) {
        double warmer = mired;
        double greener = duv;
        double stops = 0;
        for (Modifier item : items) {
            if (isCorrection(item)) {
                warmer += item.miredShift();
                greener += item.duvShift();
                stops += item.stops();
            }
        }
        double[] cones = ConeLight.white(warmer, greener);
        if (!hue.plain()) {
            cones = ConeLight.through(cones, hue.leaves());
        }
        for (Modifier item : items) {
            GelColour gel = item.gel();
            if (gel != null) {
                cones = ConeLight.through(cones, gel);
            }
        }
        for (Modifier item : items) {
            if (!isCorrection(item) && !(item.gel() != null && item.soft() == 0)) {
                double nominal = item.gel() == null ? Math.pow(2, -item.stops()) : 1;
                cones = ConeLight.times(cones, ConeLight.left(nominal, item.miredShift(), item.duvShift()));
            }
        }
        double left = Math.pow(2, -stops);
        return ConeLight.times(cones, new double[] {left, left, left});
    }

    private static boolean isCorrection(Modifier item) {
        return item.soft() == 0 && item.gel() == null && item.frameWidthM() == null;
    }
}
