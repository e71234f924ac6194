package org.oblume.core.metering;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.colour.DialCorrection;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Tint;
import org.oblume.core.plot.White;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/**
 * Ways to bring lights to one white: at the others by their dials, at the reference by a tint filter, or in the camera. Which of them is a
 * choice; each is changes to be tried.
 *
 * @param way where it is done
 * @param words what is done, light by light
 * @param changes to try
 * @param residualMired the largest that is left between the others and the reference, mired; + is too warm
 * @param residualDuv the largest that is left in tint
 */
public record WhiteMatch(Way way, List<String> words, List<Change> changes, double residualMired, double residualDuv) {

    /** Where lights are brought together. */
    public enum Way {
        DIAL("Dial the others to agree"),
        FILTER("Filter the reference"),
        CAMERA("Set the camera’s white");

        private final String label;

        Way(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public WhiteMatch {
        words = List.copyOf(words);
        changes = List.copyOf(changes);
    }

    /**
     * @param reference the light that the others are to agree with, or null when they are to measure a white of nobody's
     * @param white what it measures
     * @param others keys of the lights that are to agree, with what was measured of each
     */
    public static List<WhiteMatch> ways(
            SceneRecord scene,
            RecordedState state,
            @Nullable Placement reference,
            WhitePoint white,
            Map<String, DialCurve> others,
            List<StockItem> stock) {
        List<WhiteMatch> ways = new ArrayList<>();
        if (!others.isEmpty()) {
            ways.add(dialled(scene, white, others));
        }
        if (reference == null) {
            return ways;
        }
        Left left = Left.of(scene, state, white, others);
        filtered(state, reference, white, stock, left).ifPresent(ways::add);
        camera(scene, state, reference, white, left).ifPresent(ways::add);
        return ways;
    }

    /** How far the others are from the reference while they stay as they are dialled. */
    private record Left(double mired, double duv) {

        static Left of(SceneRecord scene, RecordedState state, WhitePoint white, Map<String, DialCurve> others) {
            double mired = 0;
            double duv = 0;
            for (Map.Entry<String, DialCurve> other : others.entrySet()) {
                double tint =
                        state.value(other.getKey(), Tint.class).map(Tint::duv).orElse(0.0);
                Optional<WhitePoint> dialled = state.value(
                                scene.placement(other.getKey()).key(), ColourTemperature.class)
                        .map(d -> WhitePoint.of(Kelvin.of(d.kelvin()), Duv.of(tint)));
                if (dialled.isPresent()) {
                    mired = larger(
                            mired,
                            other.getValue().measuredMired(dialled.get().kelvin())
                                    - white.kelvin().mired());
                    duv = larger(
                            duv,
                            other.getValue().measuredDuv(dialled.get())
                                    - white.duv().value());
                }
            }
            return new Left(mired, duv);
        }
    }

    private static WhiteMatch dialled(SceneRecord scene, WhitePoint white, Map<String, DialCurve> others) {
        List<String> words = new ArrayList<>();
        List<Change> changes = new ArrayList<>();
        double mired = 0;
        double duv = 0;
        for (Map.Entry<String, DialCurve> other : others.entrySet()) {
            Placement light = scene.placement(other.getKey());
            double lowest = light.piece().lowestKelvin() == null
                    ? Kelvin.LOWEST
                    : light.piece().lowestKelvin();
            double highest = light.piece().highestKelvin() == null
                    ? Kelvin.HIGHEST
                    : light.piece().highestKelvin();
            DialCorrection dial = other.getValue().toMeasure(white, Kelvin.of(lowest), Kelvin.of(highest));
            double reach = Optional.ofNullable(light.piece().lamp())
                    .map(Lamp::tintReach)
                    .orElse(0.0);
            double tint = Math.max(-reach, Math.min(reach, dial.dialDuv()));
            double kelvin = Math.max(lowest, Math.min(highest, Math.rint(dial.dialKelvin())));
            changes.add(new Change(light.key(), new ColourTemperature(kelvin)));
            changes.add(new Change(light.key(), new Tint(Math.round(tint * 1e4) / 1e4)));
            mired = larger(mired, dial.residual().value());
            duv = larger(duv, tint - dial.dialDuv());
            words.add("%s: dial %d K, %s%s"
                    .formatted(
                            light.name(),
                            Math.round(kelvin),
                            Duv.print(tint),
                            dial.reachable()
                                    ? ""
                                    : ", the end of its range: still %s mired"
                                            .formatted(dial.residual().print())));
        }
        return new WhiteMatch(Way.DIAL, words, changes, mired, duv);
    }

    private static double larger(double one, double other) {
        return Math.abs(other) > Math.abs(one) ? other : one;
    }

    /** The one tint filter that leaves the reference nearest to the locus, when there is one that helps. */
    private static Optional<WhiteMatch> filtered(
            RecordedState state, Placement reference, WhitePoint white, List<StockItem> stock, Left others) {
        return stock.stream()
                .filter(s -> s.kind() == StockKind.TINT)
                .min(Comparator.comparingDouble(
                        s -> Math.abs(white.duv().value() + s.effect().duv())))
                .filter(s -> Math.abs(white.duv().value() + s.effect().duv())
                        < Math.abs(white.duv().value()))
                .map(filter -> {
                    List<Modifier> stack = new ArrayList<>(List.of(Modifier.of(filter)));
                    state.value(reference.key(), Modifiers.class).ifPresent(m -> stack.addAll(m.items()));
                    double left = white.duv().value() + filter.effect().duv();
                    return new WhiteMatch(
                            Way.FILTER,
                            List.of("%s: hang %s, tint from %s to %s"
                                    .formatted(
                                            reference.name(),
                                            filter.name(),
                                            Duv.print(white.duv().value()),
                                            Duv.print(left))),
                            List.of(new Change(reference.key(), new Modifiers(stack))),
                            others.mired,
                            others.duv == 0
                                    ? left
                                    : others.duv - filter.effect().duv());
                });
    }

    private static Optional<WhiteMatch> camera(
            SceneRecord scene, RecordedState state, Placement reference, WhitePoint white, Left others) {
        return state.camera(scene.placements())
                .map(camera -> new WhiteMatch(
                        Way.CAMERA,
                        List.of("%s: white %s, tint %s, as %s measures; the other lights are seen as they then differ"
                                .formatted(
                                        camera.name(),
                                        white.kelvin().print(),
                                        Duv.print(white.duv().value()),
                                        reference.name())),
                        List.of(new Change(
                                camera.key(),
                                new White(
                                        Math.round(white.kelvin().value()),
                                        white.duv().value()))),
                        others.mired,
                        others.duv));
    }
}
