package org.oblume.core.network;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.GelColour;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Percent;

/**
 * What one light is dialled to, in the units of the record.
 *
 * @param levelPercent 0 to 100; 0 for one that is off or struck
 * @param kelvin 1000 to 25000, or null when none is recorded
 * @param duv −0.05 to 0.05
 * @param colour on top of its white
 * @param beamDeg full angle, or null when none is recorded
 * @param effect that it runs
 */
public record FixtureValues(
        double levelPercent,
        @Nullable Double kelvin,
        double duv,
        Colour colour,
        @Nullable Double beamDeg,
        Effect effect) {

    /** Effects are told in steps of ten of a slot's 255, whatever its width. */
    private static final double EFFECT_STEP = 10;

    private static final double BYTE = 255;
    /** Smallest tint that is printed, Duv. */
    private static final double LEAST_TINT = 5e-4;

    private static final double LEAST_RATE_HZ = 0.1;
    private static final double CIRCLE = 360;

    /** As a shot has it. */
    public static FixtureValues of(RecordedState state, String key) {
        boolean on = state.value(key, SetStatus.class)
                .filter(s -> s.state() == SetStatus.State.ON)
                .isPresent();
        return new FixtureValues(
                on ? state.value(key, Level.class).map(Level::percent).orElse(0.0) : 0,
                state.value(key, ColourTemperature.class)
                        .map(ColourTemperature::kelvin)
                        .orElse(null),
                state.value(key, Tint.class).map(Tint::duv).orElse(0.0),
                state.value(key, Colour.class).orElse(Colour.WHITE),
                state.value(key, Beam.class).map(Beam::beamDeg).orElse(null),
                on ? state.value(key, Effect.class).orElse(Effect.NONE) : Effect.NONE);
    }

    /** Each parameter as a part of its range on this fixture, 0 to 1; kelvin is linear over its range (formulas, "Network"). */
    Map<Parameter, Double> parts(Ranges ranges) {
        Map<Parameter, Double> parts = new EnumMap<>(Parameter.class);
        GelColour rgb = colour.leaves();
        parts.put(Parameter.LEVEL, Percent.of(levelPercent).fraction());
        parts.put(Parameter.CCT, kelvin == null ? 0 : ranges.kelvin().part(kelvin));
        parts.put(Parameter.TINT, ranges.duv().part(duv));
        parts.put(Parameter.RED, rgb.red());
        parts.put(Parameter.GREEN, rgb.green());
        parts.put(Parameter.BLUE, rgb.blue());
        parts.put(Parameter.HUE, colour.hueDeg() / CIRCLE);
        parts.put(Parameter.SATURATION, Percent.of(colour.saturationPercent()).fraction());
        parts.put(Parameter.ZOOM, beamDeg == null ? 0 : ranges.beamDeg().part(beamDeg));
        parts.put(Parameter.EFFECT, effect.kind().code() * EFFECT_STEP / BYTE);
        parts.put(Parameter.RATE, effect.rateHz() / Effect.FASTEST_HZ);
        parts.put(Parameter.UNUSED, 0.0);
        return parts;
    }

    /**
     * What a fixture is dialled to by what it hears.
     *
     * @param parts what its mode listens to; the rest is as a fixture has it from the start
     */
    public static FixtureValues from(Map<Parameter, Double> parts, Ranges ranges) {
        double hue = parts.getOrDefault(Parameter.HUE, 0.0) * CIRCLE;
        Colour colour = parts.containsKey(Parameter.RED) && !parts.containsKey(Parameter.HUE)
                ? fromRgb(parts)
                : new Colour(
                        hue,
                        Percent.ofFraction(parts.getOrDefault(Parameter.SATURATION, 0.0))
                                .value());
        int kind = (int) Math.round(parts.getOrDefault(Parameter.EFFECT, 0.0) * BYTE / EFFECT_STEP);
        double rate = parts.getOrDefault(Parameter.RATE, 0.0) * Effect.FASTEST_HZ;
        Effect effect = rate == 0
                ? Effect.NONE
                : Effect.Kind.ofCode(kind).map(k -> new Effect(k, rate)).orElse(Effect.NONE);
        return new FixtureValues(
                Percent.ofFraction(parts.getOrDefault(Parameter.LEVEL, 1.0)).value(),
                parts.containsKey(Parameter.CCT) ? (Double) ranges.kelvin().at(parts.get(Parameter.CCT)) : null,
                parts.containsKey(Parameter.TINT) ? ranges.duv().at(parts.get(Parameter.TINT)) : 0,
                colour,
                parts.containsKey(Parameter.ZOOM) ? (Double) ranges.beamDeg().at(parts.get(Parameter.ZOOM)) : null,
                effect);
    }

    private static Colour fromRgb(Map<Parameter, Double> parts) {
        double r = parts.getOrDefault(Parameter.RED, 0.0);
        double g = parts.getOrDefault(Parameter.GREEN, 0.0);
        double b = parts.getOrDefault(Parameter.BLUE, 0.0);
        double most = Math.max(r, Math.max(g, b));
        double least = Math.min(r, Math.min(g, b));
        if (most == 0 || most == least) {
            return Colour.WHITE;
        }
        double side = most == r
                ? (g - b) / (most - least)
                : most == g ? 2 + (b - r) / (most - least) : 4 + (r - g) / (most - least);
        return new Colour(
                (side * 60 + CIRCLE) % CIRCLE,
                Percent.ofFraction((most - least) / most).value());
    }

    /** {@code 45 %, 4300 K, tint +0.003 green}. */
    public String say() {
        if (levelPercent == 0) {
            return "off";
        }
        List<String> parts = new ArrayList<>(List.of(Numbers.plain(Math.round(levelPercent * 10) / 10.0) + " %"));
        if (kelvin != null) {
            parts.add("%.0f K".formatted(kelvin));
        }
        if (Math.abs(duv) >= LEAST_TINT) {
            parts.add("tint " + new Tint(Math.round(duv * 1e3) / 1e3).say());
        }
        if (!colour.plain()) {
            parts.add("hue %.0f°, saturation %.0f %%".formatted(colour.hueDeg(), colour.saturationPercent()));
        }
        if (effect.runs()) {
            parts.add(
                    new Effect(effect.kind(), Math.max(LEAST_RATE_HZ, Math.round(effect.rateHz() * 10) / 10.0)).say());
        }
        return String.join(", ", parts);
    }

    /** What of it a mode cannot be told; empty when all of it comes across. The colour of a filament is the lamp's own: no mode is told it. */
    List<Parameter> unsupportedBy(Mode mode, Placement placement) {
        List<Parameter> lost = new ArrayList<>();
        Ranges ranges = Ranges.of(placement.piece());
        if (!mode.listensTo(Parameter.LEVEL)) {
            lost.add(Parameter.LEVEL);
        }
        boolean filament =
                placement.piece().lamp() != null && placement.piece().lamp().curve() == LevelCurve.TUNGSTEN;
        if (kelvin != null && ranges.kelvin().canBeDialled() && !filament && !mode.listensTo(Parameter.CCT)) {
            lost.add(Parameter.CCT);
        }
        if (duv != 0 && !mode.listensTo(Parameter.TINT)) {
            lost.add(Parameter.TINT);
        }
        if (!colour.plain() && !mode.isToldAHue()) {
            lost.add(Parameter.HUE);
        }
        if (effect.runs() && !mode.listensTo(Parameter.EFFECT)) {
            lost.add(Parameter.EFFECT);
        }
        if (effect.runs() && mode.listensTo(Parameter.EFFECT) && !mode.listensTo(Parameter.RATE)) {
            lost.add(Parameter.RATE);
        }
        return lost;
    }
}
