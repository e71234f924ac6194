package org.oblume.core.continuity;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SurfaceLight;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Length;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Stops;

/**
 * The one light that brings a line back that is off, by level or by distance (model: predicted shares of the lights, inverse squares for a
 * move): by at most 1½ stops, and within what the unit can do. {@link Remedies} asks for each whether the picture is better with it.
 */
final class Remedy {

    /** Whether the picture is better with it; asked of each change before it is told. */
    interface Worth {

        /** @param factor on all the light of the source, above 0 */
        boolean dimmed(Placement source, double factor);

        boolean set(Placement source, AttributeValue value);
    }

    /** Nobody moves a light so near, or to more than 2.8 times or less than a 2.8th of its distance, for its softness alone (settings of the model). */
    private static final double NEAREST_M = 0.5;

    private static final double MOST_DOUBLINGS = 1.5;

    /** Output beyond full that nobody sees: it counts as full. */
    private static final double JUST_FULL = 0.03;

    private static final double LEAST_STOPS = 0.05;
    /** Farther than this nobody mends by dimming: something is wrong (a setting of the model). */
    private static final double MOST_STOPS = 1.5;

    private static final double NET_STOPS = 0.5;
    private static final double NEAR_A_NET = 0.15;
    private static final String NO_FILL = "No fill brings it back without putting something else out.";
    private static final List<Role> FILLS = List.of(Role.FILL, Role.AMBIENCE);
    private final ShotLighting light;
    private final RecordedState state;
    private final MarkLight at;
    private final Worth worth;

    private Remedy(ShotLighting light, RecordedState state, MarkLight at, Worth worth) {
        this.worth = worth;
        this.light = light;
        this.state = state;
        this.at = at;
    }

    /**
     * @param line that is out
     * @param mark key of the mark that it is judged at
     * @return empty when nothing is known that one light could do
     */
    static Optional<Phrase> of(
            Match.Line line,
            ShotLighting light,
            RecordedState state,
            String mark,
            RatioConvention school,
            Worth worth) {
        Double difference = line.difference();
        Double recorded = line.recorded() == null ? null : line.recorded().value();
        return difference == null || recorded == null
                ? Optional.empty()
                : light.mark(mark).flatMap(at -> new Remedy(light, state, at, worth)
                        .of(line.aspect(), difference, recorded, school));
    }

    private Optional<Phrase> of(Aspect aspect, double difference, double recorded, RatioConvention school) {
        return switch (aspect) {
            case RATIO -> ratio(difference, school);
            case EXPOSURE -> key().flatMap(key -> exposed(key, share(at.lit(), key, difference)));
            case BACKGROUND -> background(difference);
            case WHITE -> key().flatMap(key -> dialled(key, difference));
            case TINT -> key().flatMap(key -> tinted(key, difference));
            case SOFTNESS -> key().flatMap(key -> resized(key, difference));
            case KEY_SIDE ->
                key().map(key -> Phrase.of("Bring %s back to bearing %s from the mark, or call the move a cheat."
                        .formatted(name(key), Bearing.ofDegrees(recorded).print())));
        };
    }

    private Optional<Placement> key() {
        return Figures.key(light, at);
    }

    /** {@code (L + (f − 1) l) / (S + (f − 1) s) = R}, solved for the factor f on the first light that can do it: what fills, then whatever is there. */
    private Optional<Phrase> ratio(double difference, RatioConvention school) {
        Optional<Placement> fill = Figures.strongest(light, at.shadow(), List.of(Role.FILL));
        if (school == RatioConvention.KEY_TO_FILL) {
            return first(fill.stream().toList(), f -> Math.pow(2, difference), NO_FILL);
        }
        Optional<Placement> over = fill.filter(f -> of(at.lit(), f) > of(at.shadow(), f)
                && key().filter(k -> of(at.shadow(), k) > of(at.lit(), k)).isPresent());
        if (over.isPresent()) {
            return Optional.of(Phrase.of("%s outshines the key: bring it down until the lit cheek is the key’s again."
                    .formatted(name(over.get()))));
        }
        double wanted = at.lit().lux() / at.shadow().lux() * Math.pow(2, -difference);
        List<Placement> order = new ArrayList<>(fill.stream().toList());
        Figures.strongest(light, at.shadow(), FILLS).ifPresent(order::add);
        order.addAll(byShare(at.shadow()));
        return first(
                order,
                f -> 1
                        + (at.lit().lux() - wanted * at.shadow().lux())
                                / (wanted * of(at.shadow(), f) - of(at.lit(), f)),
                difference < 0
                        ? "No one light brings it back: take light off the shadow side with a flag, or make the key harder."
                        : "No one light brings it back: send some of the key to the shadow side with a board.");
    }

    private Optional<Phrase> background(double difference) {
        SurfaceLight background = at.background();
        if (background == null || background.lux() <= 0) {
            return Optional.empty();
        }
        double wanted = background.lux() / at.lit().lux() * Math.pow(2, -difference);
        return first(
                byShare(background),
                l -> 1 + (wanted * at.lit().lux() - background.lux()) / (of(background, l) - wanted * of(at.lit(), l)),
                difference > 0
                        ? "No one light brings it back: keep light off the wall with flags."
                        : "No one light brings it back: put a light on the wall.");
    }

    private List<Placement> byShare(SurfaceLight on) {
        return light.lights().stream()
                .sorted(Comparator.comparingDouble((Placement p) -> -of(on, p)))
                .toList();
    }

    /** The first light that can do it without going out or past what one would call a change of it. */
    private Optional<Phrase> first(List<Placement> order, ToDoubleFunction<Placement> factor, String none) {
        for (Placement one : order) {
            double by = factor.applyAsDouble(one);
            if (isWithinReach(one, by) && worth.dimmed(one, by)) {
                return dimmed(one, by)
                        .map(words -> by < 1 ? net(words, -Stops.fromRatio(by).value()) : words);
            }
        }
        return Optional.of(Phrase.of(none));
    }

    private boolean isWithinReach(Placement source, double factor) {
        if (!Double.isFinite(factor)
                || factor <= 0
                || Math.abs(Stops.fromRatio(factor).value()) > MOST_STOPS) {
            return false;
        }
        Lamp lamp = source.piece().lamp();
        double now = state.level(source.key());
        if (lamp == null || now <= 0 || at.of(source.key()).straight()) {
            return true;
        }
        double output = lamp.curve().output(now) * factor;
        return output <= 1 + JUST_FULL
                && Percent.ofFraction(lamp.curve().level(Math.min(1, output))).value() >= lamp.lowestPercent();
    }

    private Optional<Phrase> exposed(Placement key, double factor) {
        if (isWithinReach(key, factor)) {
            return worth.dimmed(key, factor)
                    ? dimmed(key, factor)
                    : Optional.of(
                            Phrase.of("%s would bring it back and put something else out: look for what is wrong first."
                                    .formatted(name(key))));
        }
        return Optional.of(Phrase.of(
                factor > 1
                        ? "%s alone cannot give what is missing: look for what is wrong first.".formatted(name(key))
                        : "%s alone cannot take away what is too much: look for what is wrong first."
                                .formatted(name(key))));
    }

    private static Phrase net(Phrase words, double stops) {
        String net = Math.abs(stops - NET_STOPS) <= NEAR_A_NET
                ? "single"
                : Math.abs(stops - 2 * NET_STOPS) <= 2 * NEAR_A_NET ? "double" : "";
        return net.isEmpty() ? words : Phrase.format("%%s Or hang a %s net before it.".formatted(net), words);
    }

    /** Factor on one light so that all of a surface changes by −difference. */
    private double share(SurfaceLight on, Placement source, double difference) {
        return 1 + on.lux() * (Math.pow(2, -difference) - 1) / of(on, source);
    }

    private Optional<Phrase> dimmed(Placement source, double factor) {
        double stops = Stops.fromRatio(factor).value();
        if (Math.abs(stops) < LEAST_STOPS) {
            return Optional.empty();
        }
        Stops size = Stops.of(Math.abs(stops));
        String thirds = size.inThirds().equals("0") ? size.inTenths() : size.inThirds();
        String change = "%s %s %s stop%s"
                .formatted(
                        name(source),
                        stops > 0 ? "up" : "down",
                        thirds,
                        size.value() > 1 && !thirds.equals("1") ? "s" : "");
        List<Phrase> ways = new ArrayList<>();
        level(source, factor).ifPresent(to -> ways.add(Phrase.of(to)));
        MarkLight.SourceAtMark from = at.of(source.key());
        if (from.straight()) {
            ways.add(Phrase.format(
                    "move it from %s to %s",
                    Phrase.of(Length.ofMetres(from.throwM())),
                    Phrase.of(Length.ofMetres(from.throwM() / Math.sqrt(factor)))));
        }
        Phrase said = Phrase.of(change);
        for (int i = 0; i < ways.size(); i++) {
            said = Phrase.format(i == 0 ? "%s: %s" : "%s, or %s", said, ways.get(i));
        }
        return Optional.of(Phrase.format("%s.", said));
    }

    private Optional<String> level(Placement source, double factor) {
        Lamp lamp = source.piece().lamp();
        double now = state.level(source.key());
        if (lamp == null || now <= 0) {
            return Optional.empty();
        }
        double output = lamp.curve().output(now) * factor;
        return Optional.of(
                output > 1 + JUST_FULL
                        ? "it is %s stop short at 100 %%"
                                .formatted(Stops.fromRatio(output).inTenths())
                        : "%d to %d %%"
                                .formatted(
                                        Math.round(Percent.ofFraction(now).value()),
                                        Math.round(
                                                Percent.ofFraction(lamp.curve().level(Math.min(1, output)))
                                                        .value())));
    }

    private Optional<Phrase> dialled(Placement key, double difference) {
        Double lowest = key.piece().lowestKelvin();
        Double highest = key.piece().highestKelvin();
        double share = of(at.lit(), key) / at.lit().lux();
        return state.value(key.key(), ColourTemperature.class).map(dial -> {
            double mired = Kelvin.of(dial.kelvin()).mired() - difference / share;
            double kelvin = mired <= 0 ? Double.POSITIVE_INFINITY : Kelvin.MIRED_PRODUCT / mired;
            boolean reached = lowest != null && highest != null && kelvin >= lowest && kelvin <= highest;
            return Phrase.of(
                    reached && !worth.set(key, new ColourTemperature(kelvin))
                            ? "Dialling %s would put something else out: look for what is wrong first."
                                    .formatted(name(key))
                            : reached
                                    ? "Dial %s to %d K.".formatted(name(key), Math.round(kelvin))
                                    : "%s cannot be dialled that far: gel it by %s mired, or set the camera’s white."
                                            .formatted(name(key), Numbers.plain(Math.rint(-difference / share))));
        });
    }

    private Optional<Phrase> tinted(Placement key, double difference) {
        Lamp lamp = key.piece().lamp();
        double share = of(at.lit(), key) / at.lit().lux();
        double wanted = state.value(key.key(), Tint.class).map(Tint::duv).orElse(0.0) - difference / share;
        boolean reached = lamp != null && Math.abs(wanted) <= lamp.tintReach();
        return Optional.of(Phrase.of(
                reached && !worth.set(key, new Tint(wanted))
                        ? "Dialling %s’s tint would put something else out: look for what is wrong first."
                                .formatted(name(key))
                        : reached
                                ? "Dial %s’s tint to %s.".formatted(name(key), Duv.print(wanted))
                                : "Gel %s by Duv %s, or set the camera’s tint."
                                        .formatted(name(key), Duv.print(-difference / share))));
    }

    private Optional<Phrase> resized(Placement key, double difference) {
        Double now = at.of(key.key()).distanceM();
        if (now == null) {
            return Optional.empty();
        }
        double then = now * Math.pow(2, difference);
        if (then < NEAREST_M || Math.abs(difference) > MOST_DOUBLINGS) {
            return Optional.of(Phrase.of(
                    difference < 0
                            ? "%s through a larger frame, or softer cloth on it; then its level.".formatted(name(key))
                            : "%s through a smaller frame, or without its cloth; then its level."
                                    .formatted(name(key))));
        }
        Phrase distances =
                Phrase.format("from %s to %s", Phrase.of(Length.ofMetres(now)), Phrase.of(Length.ofMetres(then)));
        return Optional.of(Phrase.format(
                difference < 0
                        ? "%s closer, %s, or through a larger frame; then its level."
                        : "%s farther, %s, or through a smaller frame; then its level.",
                Phrase.of(name(key)),
                distances));
    }

    private double of(SurfaceLight on, Placement source) {
        return on.luxOfEach().get(light.lights().indexOf(source));
    }

    private static String name(Placement placement) {
        return placement.name().substring(0, 1).toUpperCase(Locale.ROOT)
                + placement.name().substring(1);
    }
}
