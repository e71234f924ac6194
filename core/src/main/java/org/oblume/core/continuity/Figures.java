package org.oblume.core.continuity;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.exposure.ContrastRatio;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.Ratio;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SurfaceLight;
import org.oblume.core.metering.Reading;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.White;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;

/**
 * What a shot is judged by, at one mark. A figure that nobody knows is left out.
 *
 * @param of what is known
 */
public record Figures(Map<Aspect, Figure> of) {

    /**
     * @param value in the aspect's unit
     * @param metered whether it was read, not predicted
     */
    public record Figure(double value, boolean metered) {}

    public Figures {
        of = Collections.unmodifiableMap(of.isEmpty() ? new EnumMap<>(Aspect.class) : new EnumMap<>(of));
    }

    /** What is predicted of a shot at a mark; none when the mark is not on set. */
    public static Figures predicted(
            ShotLighting light, List<Placement> placements, RecordedState state, String mark, RatioConvention school) {
        Map<Aspect, Figure> all = new EnumMap<>(Aspect.class);
        light.mark(mark).ifPresent(at -> {
            Ratio ratio = light.ratio(at);
            put(
                    all,
                    Aspect.RATIO,
                    stops(school == RatioConvention.LIT_TO_SHADOW ? ratio.litToShadow() : ratio.keyToFill()),
                    false);
            light.metering()
                    .ifPresent(
                            m -> put(all, Aspect.EXPOSURE, value(m.over(at.lit().lux())), false));
            if (at.lit().mix() != null) {
                ColourReading colour = at.lit().mix().reading();
                seen(all, colour.kelvin(), colour.duv(), ShotLighting.white(placements, state), false);
            }
            SurfaceLight background = at.background();
            if (background != null && background.lux() > 0 && at.lit().lux() > 0) {
                put(
                        all,
                        Aspect.BACKGROUND,
                        Stops.fromRatio(background.lux() / at.lit().lux()).value(),
                        false);
            }
            key(light, at)
                    .map(key -> at.sources().get(light.lights().indexOf(key)))
                    .filter(from -> !from.allAround())
                    .ifPresent(from -> {
                        put(all, Aspect.KEY_SIDE, from.from().degrees(), false);
                        if (from.angularSizeDeg() > 0) {
                            put(all, Aspect.SOFTNESS, from.angularSizeDeg(), false);
                        }
                    });
        });
        return new Figures(all);
    }

    /**
     * These with what was read in their place, in the order it was read: the newest holds.
     *
     * @param mark that is judged
     */
    public Figures metered(
            List<Reading> readings,
            ShotLighting light,
            List<Placement> placements,
            RecordedState state,
            String mark,
            RatioConvention school,
            SignalCurve curve) {
        Map<Aspect, Figure> all = new EnumMap<>(Aspect.class);
        all.putAll(of);
        @Nullable Double key = null;
        @Nullable Double fill = null;
        for (Reading reading : readings) {
            if (!reading.mark().equals(mark)) {
                continue;
            }
            if (reading.alone() != null) {
                Role role = placements.stream()
                        .filter(p -> p.key().equals(reading.alone()))
                        .map(Placement::role)
                        .findFirst()
                        .orElse(Role.SUBJECT);
                key = role == Role.KEY && reading.lux() != null ? reading.lux() : key;
                fill = role == Role.FILL && reading.lux() != null ? reading.lux() : fill;
                continue;
            }
            if (reading.lux() != null) {
                double lux = reading.lux();
                light.metering().ifPresent(m -> put(all, Aspect.EXPOSURE, value(m.over(lux)), true));
            }
            if (reading.kelvin() != null) {
                seen(all, reading.kelvin(), reading.duv(), ShotLighting.white(placements, state), true);
            }
            if (school == RatioConvention.LIT_TO_SHADOW) {
                put(
                        all,
                        Aspect.RATIO,
                        between(
                                reading.lux(),
                                reading.shadowLux(),
                                reading.signals().lit(),
                                reading.signals().shadow(),
                                curve),
                        true);
            }
            put(
                    all,
                    Aspect.BACKGROUND,
                    between(
                            reading.backgroundLux(),
                            reading.lux(),
                            reading.signals().background(),
                            reading.signals().lit(),
                            curve),
                    true);
        }
        if (school == RatioConvention.KEY_TO_FILL && key != null && fill != null) {
            put(all, Aspect.RATIO, ContrastRatio.keyToFill(key, fill).stops().value(), true);
        }
        return new Figures(all);
    }

    /** These on the plan of another place: the side of the world that the key comes from turns with it. */
    public Figures on(PlanFit fit) {
        Map<Aspect, Figure> all = new EnumMap<>(Aspect.class);
        all.putAll(of);
        all.computeIfPresent(
                Aspect.KEY_SIDE,
                (a, f) -> new Figure(fit.bearing(Bearing.ofDegrees(f.value())).degrees(), f.metered()));
        return new Figures(all);
    }

    /** The light that counts as the key at a mark: the strongest of that role on the lit cheek, else the strongest of all. */
    public static Optional<Placement> key(ShotLighting light, MarkLight at) {
        Optional<Placement> key = strongest(light, at.lit(), List.of(Role.KEY));
        return key.isPresent() ? key : strongest(light, at.lit(), List.of(Role.values()));
    }

    /** The light of some roles that gives most on a surface. */
    static Optional<Placement> strongest(ShotLighting light, SurfaceLight on, List<Role> roles) {
        @Nullable Placement best = null;
        double most = 0;
        List<Placement> sources = light.lights();
        for (int i = 0; i < sources.size(); i++) {
            if (roles.contains(sources.get(i).role()) && on.luxOfEach().get(i) > most) {
                most = on.luxOfEach().get(i);
                best = sources.get(i);
            }
        }
        return Optional.ofNullable(best);
    }

    /** Stops from one reading to another, by light where both were read, else by signal; null when neither was. */
    private static @Nullable Double between(
            @Nullable Double lux,
            @Nullable Double toLux,
            @Nullable Double signal,
            @Nullable Double toSignal,
            SignalCurve curve) {
        try {
            if (lux != null && toLux != null) {
                return ContrastRatio.fromLux(lux, toLux).stops().value();
            }
            return signal == null || toSignal == null
                    ? null
                    : Double.valueOf(ContrastRatio.fromSignal(signal, toSignal, curve)
                            .stops()
                            .value());
        } catch (Refusal blackOnThisCurve) {
            return null;
        }
    }

    private static void seen(
            Map<Aspect, Figure> all, double kelvin, @Nullable Double duv, White white, boolean metered) {
        put(
                all,
                Aspect.WHITE,
                Kelvin.of(kelvin).mired() - Kelvin.of(white.kelvin()).mired(),
                metered);
        put(all, Aspect.TINT, duv == null ? null : duv - white.duv(), metered);
    }

    private static void put(Map<Aspect, Figure> all, Aspect aspect, @Nullable Double value, boolean metered) {
        if (value != null) {
            all.put(aspect, new Figure(value, metered));
        }
    }

    private static @Nullable Double stops(@Nullable ContrastRatio ratio) {
        return ratio == null ? null : ratio.stops().value();
    }

    private static @Nullable Double value(@Nullable Stops stops) {
        return stops == null ? null : stops.value();
    }

    /** Whether any of it was read. */
    public boolean anyMetered() {
        return of.values().stream().anyMatch(Figure::metered);
    }
}
