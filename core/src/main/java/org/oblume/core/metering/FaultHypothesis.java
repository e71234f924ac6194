package org.oblume.core.metering;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.filter.StockItem;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Stops;

/**
 * One thing that may be unlike the record at a light, and what a meter would then read of it against the prediction (model: one fault at
 * a time, nominal figures of the stock).
 *
 * @param kind of fault
 * @param words what may be so: {@code Half CTO hangs in place of Quarter CTO}
 * @param stops more light than predicted, or less
 * @param mired warmer than predicted, or cooler
 * @param duv greener than predicted, or more magenta
 * @param fitted whether its size is fitted to the reading, so that it explains anything
 */
public record FaultHypothesis(Kind kind, String words, double stops, double mired, double duv, boolean fitted) {

    /** What can be wrong at a head. */
    public enum Kind {
        MODE,
        MISSING,
        DOUBLED,
        SWAPPED,
        DIAL,
        LEVEL_OR_DISTANCE
    }

    /** How well the meter and the rebuilding are known: one spread each (a setting of the model). */
    public record Uncertainty(double stops, double mired, double duv) {

        /** A hand-held meter and a stand put by tape. */
        public static final Uncertainty USUAL = new Uncertainty(0.12, 4, 0.0015);
    }

    /** A guess at a dial is told to the hundred, kelvin. */
    private static final long HUNDRED = 100;
    /** A reading that is within this many spreads of the prediction, all in all, needs no explanation. */
    private static final double TELLS_FROM = 3;
    /** A suspect explains a reading when what is left is within this many spreads in all. */
    private static final double EXPLAINS_WITHIN = 3;
    /** A cause that can be fitted to any reading has to do better than one of known size by this, squared spreads (model). */
    private static final double FREE_COSTS = 4;

    /**
     * Everything of known size that may be wrong at one light.
     *
     * @param stock that the crew could have hung
     */
    public static List<FaultHypothesis> of(Placement light, RecordedState state, List<StockItem> stock) {
        List<FaultHypothesis> all = new ArrayList<>();
        Lamp lamp = light.piece().lamp();
        double level = state.level(light.key());
        if (lamp != null && level > 0 && level < 1 && lamp.curve() != LevelCurve.TUNGSTEN) {
            for (LevelCurve curve : List.of(LevelCurve.LINEAR, LevelCurve.SQUARE, LevelCurve.S_CURVE)) {
                if (curve != lamp.curve()) {
                    double stops = Stops.fromRatio(
                                    curve.output(level) / lamp.curve().output(level))
                            .value();
                    all.add(new FaultHypothesis(
                            Kind.MODE,
                            "wrong mode or curve: it dims %s, recorded %s".formatted(say(curve), say(lamp.curve())),
                            stops,
                            0,
                            0,
                            false));
                }
            }
        }
        for (Modifier item :
                state.value(light.key(), Modifiers.class).orElse(Modifiers.NONE).items()) {
            if (item.gel() == null) {
                all.add(new FaultHypothesis(
                        Kind.MISSING,
                        "%s is missing".formatted(item.name()),
                        item.stops(),
                        -item.miredShift(),
                        -item.duvShift(),
                        false));
                all.add(new FaultHypothesis(
                        Kind.DOUBLED,
                        "%s is there twice".formatted(item.name()),
                        -item.stops(),
                        item.miredShift(),
                        item.duvShift(),
                        false));
                stock.stream()
                        .filter(other -> replaces(other, item, stock))
                        .forEach(other -> all.add(new FaultHypothesis(
                                Kind.SWAPPED,
                                "%s hangs in place of %s".formatted(other.name(), item.name()),
                                item.stops() - other.effect().stops().value(),
                                other.effect().mired().value() - item.miredShift(),
                                other.effect().duv() - item.duvShift(),
                                false)));
            }
        }
        return all;
    }

    private static boolean replaces(StockItem other, Modifier item, List<StockItem> stock) {
        return other.gel() == null
                && !other.name().equals(item.name())
                && stock.stream().anyMatch(s -> s.name().equals(item.name()) && s.kind() == other.kind());
    }

    /**
     * The suspects that explain a reading, the likeliest first; none when nothing needs explaining.
     *
     * @param stops read less predicted
     * @param mired read less predicted, + is warmer, or null when the colour was not read
     * @param duv read less predicted, or null
     */
    public static List<FaultHypothesis> explaining(
            Placement light,
            RecordedState state,
            List<StockItem> stock,
            double stops,
            @Nullable Double mired,
            @Nullable Double duv,
            Uncertainty spread) {
        double unexplained = misfit(stops, mired, duv, 0, 0, 0, spread);
        if (unexplained < TELLS_FROM * TELLS_FROM) {
            return List.of();
        }
        List<FaultHypothesis> all = new ArrayList<>(of(light, state, stock));
        if (mired != null && Math.abs(mired) >= TELLS_FROM * spread.mired) {
            dial(light, state, mired, duv == null ? 0 : duv).ifPresent(all::add);
        }
        all.add(levelOrDistance(light, state, stops));
        return all.stream()
                .filter(s ->
                        s.misfit(stops, mired, duv, spread) < Math.min(unexplained, EXPLAINS_WITHIN * EXPLAINS_WITHIN))
                .sorted(Comparator.comparingDouble(
                        (FaultHypothesis s) -> s.misfit(stops, mired, duv, spread) + (s.fitted ? FREE_COSTS : 0)))
                .toList();
    }

    private static Optional<FaultHypothesis> dial(Placement light, RecordedState state, double mired, double duv) {
        return state.value(light.key(), ColourTemperature.class)
                .filter(d -> Kelvin.isMiredInRange(Kelvin.of(d.kelvin()).mired() + mired))
                .map(d -> new FaultHypothesis(
                        Kind.DIAL,
                        "dialled to about %d K, recorded %d K"
                                .formatted(
                                        toTheHundred(Kelvin.MIRED_PRODUCT
                                                / (Kelvin.of(d.kelvin()).mired() + mired)),
                                        Math.round(d.kelvin())),
                        0,
                        mired,
                        duv,
                        true));
    }

    private static FaultHypothesis levelOrDistance(Placement light, RecordedState state, double stops) {
        Lamp lamp = light.piece().lamp();
        double level = state.level(light.key());
        String asLevel = "";
        if (lamp != null && level > 0) {
            double output = lamp.curve().output(level) * Math.pow(2, stops);
            asLevel = output > 1
                    ? ""
                    : "a level of about %d %% for %d %%, or "
                            .formatted(
                                    Math.round(Percent.ofFraction(lamp.curve().level(output))
                                            .value()),
                                    Math.round(Percent.ofFraction(level).value()));
        }
        return new FaultHypothesis(
                Kind.LEVEL_OR_DISTANCE,
                "level, distance or beam: as much as %s%s times the distance"
                        .formatted(asLevel, Numbers.fixed(Math.pow(2, -stops / 2), 2)),
                stops,
                0,
                0,
                true);
    }

    private double misfit(double readStops, @Nullable Double readMired, @Nullable Double readDuv, Uncertainty spread) {
        return misfit(readStops, readMired, readDuv, stops, mired, duv, spread);
    }

    private static double misfit(
            double readStops,
            @Nullable Double readMired,
            @Nullable Double readDuv,
            double stops,
            double mired,
            double duv,
            Uncertainty spread) {
        double sum = square((readStops - stops) / spread.stops);
        sum += readMired == null ? 0 : square((readMired - mired) / spread.mired);
        return sum + (readDuv == null ? 0 : square((readDuv - duv) / spread.duv));
    }

    private static double square(double value) {
        return value * value;
    }

    private static String say(LevelCurve curve) {
        return switch (curve) {
            case LINEAR -> "linear";
            case SQUARE -> "square";
            case S_CURVE -> "by an S-curve";
            case TUNGSTEN -> "like a filament";
        };
    }

    private static long toTheHundred(double kelvin) {
        return Math.round(kelvin / HUNDRED) * HUNDRED;
    }
}
