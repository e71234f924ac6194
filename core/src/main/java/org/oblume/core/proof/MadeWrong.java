package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.oblume.core.carry.Change;
import org.oblume.core.filter.StockItem;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Kelvin;

/**
 * One thing that is wrong on purpose: for measuring how well it is found, and for drills.
 *
 * @param thing key of the light or the grip that it is at
 * @param change the value that is otherwise
 * @param words what is so, and what is recorded: {@code Key: level 24 %, recorded 70 %}
 */
public record MadeWrong(String thing, Fault.Kind kind, Change change, String words) {

    /** Kinds that are drawn at lights. */
    public static final List<Fault.Kind> AT_A_LIGHT = List.of(
            Fault.Kind.OFF,
            Fault.Kind.LEVEL,
            Fault.Kind.CURVE,
            Fault.Kind.WHITE,
            Fault.Kind.TINT,
            Fault.Kind.FILTER_MISSING,
            Fault.Kind.FILTER_DOUBLED,
            Fault.Kind.FILTER_SWAPPED,
            Fault.Kind.DISTANCE,
            Fault.Kind.HEIGHT,
            Fault.Kind.AIM);

    private static final List<Double> STOPS = List.of(1 / 3.0, 0.5, 1.0, 2.0);
    private static final List<LevelCurve> CURVES = List.of(LevelCurve.LINEAR, LevelCurve.SQUARE, LevelCurve.S_CURVE);
    private static final double LEAST_CURVE_STOPS = 0.2;
    private static final double LEAST_MIRED = 12;
    private static final double LOWEST_K = 2800;
    private static final double HIGHEST_K = 6400;
    private static final double WHOLE = 100;
    private static final double UPRIGHT_DEG = 90;

    /** Draws of one recorded shot. */
    public static final class Draw {

        private final Recorded shot;
        private final Random random;

        /** @param random seeded, so that a draw can be made again */
        public Draw(Recorded shot, Random random) {
            this.shot = shot;
            this.random = random;
        }

        /** @return empty when this cannot be wrong there, or not by as much as was drawn: draw again */
        public Optional<MadeWrong> at(Fault.Kind kind, String thing) {
            return value(kind, thing).map(v -> {
                Placement placement = shot.placement(thing);
                String was = shot.value(placement, v.getClass())
                        .map(AttributeValue::say)
                        .orElse("nothing");
                String what = v instanceof SetStatus ? "" : Attribute.of(v).label() + " ";
                return new MadeWrong(
                        thing,
                        kind,
                        new Change(thing, v),
                        "%s: %s%s, recorded %s".formatted(placement.name(), what, v.say(), was));
            });
        }

        /** One of a list, each as likely. */
        public <T> T one(List<T> of) {
            return of.get(random.nextInt(of.size()));
        }

        private double sign() {
            return random.nextBoolean() ? 1 : -1;
        }

        private double between(double least, double most) {
            return least + (most - least) * random.nextDouble();
        }

        private <V extends AttributeValue> Optional<V> recorded(String thing, Class<V> type) {
            return shot.state().value(thing, type);
        }

        private Optional<? extends AttributeValue> value(Fault.Kind kind, String thing) {
            return switch (kind) {
                case OFF -> Optional.of(new SetStatus(SetStatus.State.OFF));
                case LEVEL -> level(thing);
                case CURVE -> curve(thing);
                case WHITE -> white(thing);
                case TINT -> tint(thing);
                case FILTER_MISSING, FILTER_DOUBLED, FILTER_SWAPPED, CLOTH_SWAPPED -> filters(kind, thing);
                case DISTANCE -> distance(thing);
                case HEIGHT -> {
                    double by = sign() * between(0.4, 1);
                    yield recorded(thing, Height.class).map(h -> new Height(h.heightM() + by));
                }
                case AIM -> aim(thing);
                case ZOOM, GRIP_MISSING, GRIP_MOVED, NOT_RECORDED -> Optional.empty();
            };
        }

        private Optional<LevelCurve> dims(String thing) {
            return Optional.ofNullable(shot.placement(thing).piece().lamp()).map(l -> l.curve());
        }

        private Optional<Level> level(String thing) {
            double stops = sign() * one(STOPS);
            return dims(thing).flatMap(curve -> recorded(thing, Level.class)
                    .map(level -> curve.output(level.fraction()) * Math.pow(2, stops))
                    .filter(output -> output <= 1)
                    .map(output -> new Level(WHOLE * curve.level(output))));
        }

        /** As the level that would give as much in the recorded curve. */
        private Optional<Level> curve(String thing) {
            LevelCurve other = one(CURVES);
            return dims(thing).flatMap(curve -> recorded(thing, Level.class)
                    .map(Level::fraction)
                    .filter(level -> level > 0
                            && Math.abs(Math.log(other.output(level) / curve.output(level)) / Math.log(2))
                                    >= LEAST_CURVE_STOPS)
                    .map(level -> new Level(WHOLE * curve.level(other.output(level)))));
        }

        private Optional<ColourTemperature> white(String thing) {
            double kelvin = between(LOWEST_K, HIGHEST_K);
            Placement light = shot.placement(thing);
            Double lowest = light.piece().lowestKelvin();
            Double highest = light.piece().highestKelvin();
            return lowest == null || highest == null || kelvin < lowest || kelvin > highest
                    ? Optional.empty()
                    : recorded(thing, ColourTemperature.class)
                            .filter(now -> Math.abs(Kelvin.MIRED_PRODUCT / kelvin - Kelvin.MIRED_PRODUCT / now.kelvin())
                                    >= LEAST_MIRED)
                            .map(now -> new ColourTemperature(kelvin));
        }

        private Optional<Tint> tint(String thing) {
            double duv = sign() * between(0.004, 0.012);
            return Optional.ofNullable(shot.placement(thing).piece().lamp())
                    .filter(lamp -> Math.abs(duv) <= lamp.tintReach())
                    .map(lamp -> new Tint(duv));
        }

        private Optional<Modifiers> filters(Fault.Kind kind, String thing) {
            List<Modifier> items = recorded(thing, Modifiers.class)
                    .map(Modifiers::items)
                    .filter(all -> !all.isEmpty())
                    .orElse(List.of());
            if (items.isEmpty()) {
                return Optional.empty();
            }
            int which = random.nextInt(items.size());
            List<Modifier> now = new ArrayList<>(items);
            Modifier item = items.get(which);
            switch (kind) {
                case FILTER_MISSING -> now.remove(which);
                case FILTER_DOUBLED -> now.add(which, item);
                default -> {
                    List<StockItem> others = Stand.ins(shot.stock(), item.name());
                    if (others.isEmpty()) {
                        return Optional.empty();
                    }
                    Modifier instead = Modifier.of(one(others));
                    now.set(
                            which,
                            item.frameWidthM() == null || item.frameDistanceM() == null
                                    ? instead
                                    : instead.framed(item.frameWidthM(), item.frameDistanceM()));
                }
            }
            return Optional.of(new Modifiers(now));
        }

        private Optional<Place> distance(String thing) {
            double factor = random.nextBoolean() ? between(0.7, 0.9) : between(1.1, 1.4);
            return shot.marks().stream()
                    .findFirst()
                    .flatMap(mark -> recorded(mark, Place.class))
                    .flatMap(mark -> recorded(thing, Place.class)
                            .map(at -> new Place(
                                    mark.xM() + factor * (at.xM() - mark.xM()),
                                    mark.yM() + factor * (at.yM() - mark.yM()),
                                    at.outside())));
        }

        private Optional<AimSetting> aim(String thing) {
            double off = sign() * between(5, 30);
            boolean round = random.nextBoolean();
            return shot.state()
                    .aim(thing)
                    .filter(aim -> round || Math.abs(aim.tiltDeg() + off) <= UPRIGHT_DEG)
                    .map(aim -> round
                            ? AimSetting.along(
                                    Bearing.ofDegrees(aim.bearing().degrees() + off)
                                            .degrees(),
                                    aim.tiltDeg())
                            : AimSetting.along(aim.bearing().degrees(), aim.tiltDeg() + off));
        }
    }
}
