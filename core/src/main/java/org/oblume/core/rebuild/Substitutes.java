package org.oblume.core.rebuild;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotState;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SourceColour;
import org.oblume.core.light.Trial;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;

/**
 * Finds what reaches the light of a unit or a gel that is missing: each unit of the kit through the stack that is left, its colour brought
 * back by its own dial and at most two correction or tint filters, its level by the light on the mark. Linear in units; predicted by nominal
 * figures (model).
 */
public final class Substitutes {

    private static final int MOST = 5;
    /** What a Duv counts beside a mired when filters are chosen. */
    private static final double MIRED_PER_DUV = 1000;

    /** Filters against each other are taken only when nothing else comes as near, mired. */
    private static final double OPPOSED_PRICE = 20;

    private static final double TELLS_MIRED = 1;
    private static final double TELLS_DUV = 0.0005;
    private static final double TELLS_STOPS = 0.05;
    private static final double TELLS_SIZE = 0.2;

    private final AsBuilt built;
    private final Placement light;
    private final String mark;
    private final List<Modifier> left;
    private final List<Extra> corrections;
    private final double wantedLux;
    private final double wantedSizeDeg;
    private final double wantedMired;
    private final double wantedDuv;

    private Substitutes(
            AsBuilt built, String key, Calibration found, Set<String> missing, Collection<StockItem> stock) {
        this.built = built;
        ShotState state = built.state();
        this.light = built.scene().placement(key);
        if (!light.kind().isLight()) {
            throw new Refusal(
                    "%s is no light that something of the kit could stand in for: put up what is like it, and say so."
                            .formatted(light.name()));
        }
        this.mark = Trial.mark(built.scene(), state, key);
        Modifiers stack = state.value(key, Modifiers.class).orElse(Modifiers.NONE);
        SourceColour white = SourceColour.of(light, state)
                .orElseThrow(() -> new Refusal("%s: its colour is not recorded.".formatted(light.name())));
        Calibration.@Nullable ColourRead read = found.colour();
        this.wantedMired = white.mired() + stack.effect().mired().value() + (read == null ? 0 : read.mired());
        this.wantedDuv = white.duv() + stack.effect().duv() + (read == null ? 0 : read.duv());
        this.left =
                stack.items().stream().filter(m -> !missing.contains(m.name())).toList();
        this.corrections = corrections(stock.stream()
                .filter(s -> s.kind() == StockKind.CORRECTION || s.kind() == StockKind.TINT)
                .filter(s -> !missing.contains(s.name()))
                .map(Modifier::of)
                .toList());
        MarkLight.SourceAtMark seen = seen(
                        light, state.knots(key).stream().map(k -> k.value()).toList())
                .filter(f -> f.facingLux() > 0)
                .orElseThrow(() -> new Refusal("%s gives nothing on the mark as recorded: there is nothing to reach."
                        .formatted(light.name())));
        this.wantedLux = seen.facingLux() * found.k();
        this.wantedSizeDeg = seen.angularSizeDeg();
    }

    /**
     * @param built the shot as it is rebuilt
     * @param key of the light
     * @param found what the meter said of it: what is to be reached is the light that was there, not its nominal figures
     * @param missing names of filters that are not there
     * @param units that can stand in for the unit; only its own piece when just a gel is missing
     * @param stock filters at hand
     * @return at most five, the best first; none of two that are of one kind
     * @throws Refusal when it is no light, or gives nothing on its mark as recorded
     */
    public static List<Substitute> of(
            AsBuilt built,
            String key,
            Calibration found,
            Set<String> missing,
            Collection<Piece> units,
            Collection<StockItem> stock) {
        Substitutes others = new Substitutes(built, key, found, missing, stock);
        // what was found of the unit itself holds for it as well when only a gel of it is missing
        Substitutes itself =
                found.equals(Calibration.NONE) ? others : new Substitutes(built, key, Calibration.NONE, missing, stock);
        return units.stream()
                .flatMap(unit -> (unit.equals(others.light.piece()) ? itself : others).with(unit).stream())
                .sorted(Comparator.comparingDouble(Substitute::cost))
                .limit(MOST)
                .toList();
    }

    private Optional<Substitute> with(Piece unit) {
        Lamp lamp = unit.lamp();
        Double lowest = unit.lowestKelvin();
        Double highest = unit.highestKelvin();
        if (lamp == null || lowest == null || highest == null) {
            return Optional.empty();
        }
        double reach = lamp.tintReach();
        Extra hung = corrections.get(0);
        double best = Double.MAX_VALUE;
        for (Extra extra : corrections) {
            double off = Math.abs(residualMired(extra, lowest, highest))
                    + Math.abs(residualDuv(extra, reach)) * MIRED_PER_DUV
                    + extra.price;
            if (off < best) {
                best = off;
                hung = extra;
            }
        }
        List<Modifier> stack = new ArrayList<>(hung.filters);
        stack.addAll(left);
        return settle(unit, lamp, hung, new Modifiers(stack), lowest, highest, reach);
    }

    private Optional<Substitute> settle(
            Piece unit, Lamp lamp, Extra extra, Modifiers stack, double lowest, double highest, double reach) {
        double mired = wantedMired - extra.mired;
        double dial = Kelvin.MIRED_PRODUCT
                / Math.max(Kelvin.MIRED_PRODUCT / highest, Math.min(Kelvin.MIRED_PRODUCT / lowest, mired));
        double tint = Math.max(-reach, Math.min(reach, wantedDuv - extra.duv));
        double recordedBeam = built.state()
                .value(light.key(), Beam.class)
                .map(Beam::beamDeg)
                .orElse(lamp.optics().floodBeamDeg());
        double beam =
                Math.max(lamp.optics().spotBeamDeg(), Math.min(lamp.optics().floodBeamDeg(), recordedBeam));
        Placement other = new Placement(
                light.key(),
                light.name(),
                light.kind(),
                light.role(),
                light.motivation(),
                unit,
                light.group(),
                light.locked());
        try {
            List<AttributeValue> values = List.of(
                    Level.FULL,
                    new ColourTemperature(round(dial, 10)),
                    new Tint(Math.round(tint * 1e4) / 1e4),
                    new Beam(beam),
                    stack);
            return seen(other, values).filter(full -> full.facingLux() > 0).map(full -> {
                double output = wantedLux / full.facingLux();
                double level = output >= 1
                        ? Percent.FULL.value()
                        : Math.max(
                                lamp.lowestPercent(),
                                Math.round(Percent.ofFraction(lamp.curve().level(output))
                                                        .value()
                                                * 10)
                                        / 10.0);
                double stops = Stops.fromRatio(full.facingLux()
                                * lamp.curve().output(Percent.of(level).fraction())
                                / wantedLux)
                        .value();
                double miredOff = residualMired(extra, lowest, highest);
                double duvOff = residualDuv(extra, reach);
                double softness = wantedSizeDeg > 0 && full.angularSizeDeg() > 0
                        ? Stops.fromRatio(full.angularSizeDeg() / wantedSizeDeg).value()
                        : 0;
                List<AttributeValue> set = new ArrayList<>(values);
                set.set(0, new Level(level));
                List<String> givenUp =
                        new ArrayList<>(givenUp(unit, lamp, stops, miredOff, duvOff, softness, extra.filters));
                if (!unit.equals(light.piece())) {
                    TakenOver taken = TakenOver.of(built, other);
                    set.addAll(taken.values());
                    givenUp.addAll(taken.givenUp());
                }
                return new Substitute(unit, set, stops, miredOff, duvOff, softness, givenUp);
            });
        } catch (Refusal cannotBeSet) {
            return Optional.empty();
        }
    }

    private List<String> givenUp(
            Piece unit, Lamp lamp, double stops, double mired, double duv, double softness, List<Modifier> extra) {
        List<String> all = new ArrayList<>();
        if (Math.abs(stops) >= TELLS_STOPS) {
            all.add("%s stop %s"
                    .formatted(Stops.of(Math.abs(stops)).inTenths(), stops < 0 ? "short" : "over at its lowest level"));
        }
        if (Math.abs(mired) >= TELLS_MIRED) {
            all.add("%d mired %s".formatted(Math.round(Math.abs(mired)), mired > 0 ? "warmer" : "cooler"));
        }
        if (Math.abs(duv) >= TELLS_DUV) {
            all.add("Duv %s more %s".formatted(Duv.print(Math.abs(duv)), duv > 0 ? "green" : "magenta"));
        }
        if (Math.abs(softness) >= TELLS_SIZE) {
            all.add("%s: %s times the size seen"
                    .formatted(softness < 0 ? "harder" : "softer", Numbers.fixed(Math.pow(2, softness), 1)));
        }
        if (!extra.isEmpty()) {
            all.add("needs %s".formatted(extra.stream().map(Modifier::name).collect(Collectors.joining(" and "))));
        }
        if (unit.watts() > light.piece().watts()) {
            all.add("draws %d W for %d W"
                    .formatted(
                            Math.round(unit.watts()), Math.round(light.piece().watts())));
        }
        @Nullable Lamp was = light.piece().lamp();
        if (was != null
                && !lamp.upkeep().noise().equals(was.upkeep().noise())
                && !lamp.upkeep().noise().equals("silent")) {
            all.add("heard: %s".formatted(lamp.upkeep().noise()));
        }
        return all;
    }

    /** What the mark sees of it alone, with these values in the place of its own; empty when it does not reach the mark. */
    private Optional<MarkLight.SourceAtMark> seen(Placement piece, List<AttributeValue> values) {
        AsBuilt other = AsBuilt.of(
                built.scene(),
                built.state(),
                built.scene().set(),
                PlanFit.NONE,
                List.of(new Deviation(piece.key(), piece.piece(), values, "tried")));
        Set<String> others = other.scene().placements().stream()
                .map(Placement::key)
                .filter(k -> !k.equals(piece.key()))
                .collect(Collectors.toSet());
        ShotLighting alone =
                ShotLighting.of(other.scene().set(), other.scene().placements(), other.state(), others, Map.of());
        return alone.lights().isEmpty()
                ? Optional.empty()
                : alone.mark(mark).map(m -> m.sources().get(0));
    }

    private double residualMired(Extra extra, double lowest, double highest) {
        double needed = wantedMired - extra.mired;
        return Math.max(Kelvin.MIRED_PRODUCT / highest, Math.min(Kelvin.MIRED_PRODUCT / lowest, needed)) - needed;
    }

    private double residualDuv(Extra extra, double reach) {
        double needed = wantedDuv - extra.duv;
        return Math.max(-reach, Math.min(reach, needed)) - needed;
    }

    /**
     * Filters on top of what is left of the stack.
     *
     * @param mired of all of it
     * @param duv of all of it
     * @param price each sheet and each stop counts a mired, two against each other twenty more
     */
    private record Extra(List<Modifier> filters, double mired, double duv, double price) {}

    private Extra extra(List<Modifier> filters) {
        return new Extra(
                filters,
                left.stream().mapToDouble(Modifier::miredShift).sum()
                        + filters.stream().mapToDouble(Modifier::miredShift).sum(),
                left.stream().mapToDouble(Modifier::duvShift).sum()
                        + filters.stream().mapToDouble(Modifier::duvShift).sum(),
                filters.stream().mapToDouble(m -> 1 + m.stops()).sum() + (isOpposed(filters) ? OPPOSED_PRICE : 0));
    }

    /** Whether one takes back what another does. */
    private static boolean isOpposed(List<Modifier> filters) {
        return filters.stream().mapToDouble(Modifier::miredShift).min().orElse(0)
                                * filters.stream()
                                        .mapToDouble(Modifier::miredShift)
                                        .max()
                                        .orElse(0)
                        < 0
                || filters.stream().mapToDouble(Modifier::duvShift).min().orElse(0)
                                * filters.stream()
                                        .mapToDouble(Modifier::duvShift)
                                        .max()
                                        .orElse(0)
                        < 0;
    }

    /** No filter, each of them, and each two. */
    private List<Extra> corrections(List<Modifier> filters) {
        List<Extra> all = new ArrayList<>();
        all.add(extra(List.of()));
        for (int i = 0; i < filters.size(); i++) {
            all.add(extra(List.of(filters.get(i))));
            for (int j = i; j < filters.size(); j++) {
                all.add(extra(List.of(filters.get(i), filters.get(j))));
            }
        }
        return all;
    }

    private static double round(double value, double to) {
        return Math.round(value / to) * to;
    }
}
