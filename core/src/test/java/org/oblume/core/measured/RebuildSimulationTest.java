package org.oblume.core.measured;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.oblume.core.continuity.Aspect;
import org.oblume.core.continuity.Figures;
import org.oblume.core.continuity.Match;
import org.oblume.core.continuity.RatioConvention;
import org.oblume.core.continuity.Tolerances;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Stage;
import org.oblume.core.light.Turned;
import org.oblume.core.metering.FaultHypothesis;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.Signals;
import org.oblume.core.metering.SoloCheck;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Surface;
import org.oblume.core.units.Kelvin;

/**
 * A rebuild simulated with known errors: every stand is within 5 cm of its place, every level within 5 %, the meter has a spread of its own; and
 * one head has a wrong gel, or is in a wrong mode, or nothing is wrong. How often is the fault found, the right head named, and how often is
 * there an alarm for nothing? The world that is metered is the model's own, so this measures the report, not the model.
 */
@Tag("measure")
class RebuildSimulationTest {

    private static final int RUNS = 1000;
    private static final double METER_STOPS = 0.05;
    private static final double METER_MIRED = 2;
    /** What the meter may be out by for once. */
    private static final double WITHIN_STOPS = 0.1;

    private static final List<String> HEADS = List.of("key", "fill", "edge", "ambience", "background");
    private static final List<StockItem> STOCK = List.of(
            gel("Eighth CTO", 20, 0.15),
            gel("Quarter CTO", 42, 0.3),
            gel("Half CTO", 81, 0.5),
            gel("Full CTO", 167, 0.85));
    private static final Tolerances TOLERANCES = Tolerances.HOLD;

    private enum Fault {
        NONE,
        GEL,
        MODE
    }

    @Test
    void faultsOfARebuildAreLookedFor() {
        for (Fault fault : Fault.values()) {
            Random random = new Random(6);
            int found = 0;
            int named = 0;
            int cause = 0;
            int lines = 0;
            int matters = 0;
            int mattersFound = 0;
            for (int run = 0; run < RUNS; run++) {
                String at = HEADS.get(random.nextInt(HEADS.size()));
                Stage record = shot();
                Stage real = real(random, fault, at);
                List<SoloCheck> checks = HEADS.stream()
                        .map(head -> check(record, real, head, random))
                        .toList();
                List<Integer> off = IntStream.range(0, HEADS.size())
                        .boxed()
                        .filter(i -> !holds(checks.get(i)))
                        .sorted(Comparator.comparingDouble((Integer i) -> -size(checks.get(i))))
                        .toList();
                found += off.isEmpty() ? 0 : 1;
                if (fault != Fault.NONE
                        && effect(record, real, at) > TOLERANCES.of().get(Aspect.EXPOSURE) + WITHIN_STOPS) {
                    matters++;
                    mattersFound += !off.isEmpty() && HEADS.get(off.get(0)).equals(at) ? 1 : 0;
                }
                if (!off.isEmpty() && HEADS.get(off.get(0)).equals(at)) {
                    named++;
                    List<FaultHypothesis> likely = checks.get(off.get(0)).likely();
                    FaultHypothesis.Kind wanted =
                            fault == Fault.GEL ? FaultHypothesis.Kind.SWAPPED : FaultHypothesis.Kind.MODE;
                    cause += !likely.isEmpty() && likely.get(0).kind() == wanted ? 1 : 0;
                }
                lines += match(record, real, random).holds() ? 0 : 1;
            }
            System.out.printf(
                    Locale.ROOT,
                    "MEASURED simulated rebuild, fault %s, %d runs: some head off in %.1f %%, the right head named first in %.1f %%, its cause first in %.1f %%;"
                            + " a line of the match report off in %.1f %%; of %d that changed the head's light by more than %.2f stop, named %d%n",
                    fault,
                    RUNS,
                    100.0 * found / RUNS,
                    100.0 * named / RUNS,
                    100.0 * cause / RUNS,
                    100.0 * lines / RUNS,
                    matters,
                    TOLERANCES.of().get(Aspect.EXPOSURE) + WITHIN_STOPS,
                    mattersFound);
        }
    }

    /** How far the real head's light at the mark is from the recorded one's, stops. */
    private static double effect(Stage record, Stage real, String head) {
        return Math.abs(
                Math.log(real.light().facingLux(head, "mark") / record.light().facingLux(head, "mark")) / Math.log(2));
    }

    private static boolean holds(SoloCheck check) {
        return check.holds(
                TOLERANCES.of().get(Aspect.EXPOSURE),
                TOLERANCES.of().get(Aspect.WHITE),
                TOLERANCES.of().get(Aspect.TINT));
    }

    private static double size(SoloCheck check) {
        double stops = check.calibration() == null
                ? 0
                : check.calibration().stops().value() / TOLERANCES.of().get(Aspect.EXPOSURE);
        double mired =
                check.mired() == null ? 0 : check.mired() / TOLERANCES.of().get(Aspect.WHITE);
        return Math.hypot(stops, mired);
    }

    private static SoloCheck check(Stage record, Stage real, String head, Random random) {
        Set<String> others = record.placements().stream()
                .map(Placement::key)
                .filter(k -> !k.equals(head))
                .collect(Collectors.toSet());
        ShotLighting alone = ShotLighting.of(real.set(), real.placements(), real.state(), others, Map.of());
        double lux = alone.facingLux(head, "mark") * Math.pow(2, METER_STOPS * random.nextGaussian());
        double kelvin = alone.metered(head, "mark", Turned.TO_LIGHT)
                .orElseThrow()
                .reading()
                .kelvin();
        Reading reading = new Reading("mark", head, lux, null, null, read(kelvin, random), 0.0, Signals.NONE);
        return SoloCheck.of(
                reading,
                record.placement(head),
                record.state(),
                record.light(),
                STOCK,
                FaultHypothesis.Uncertainty.USUAL);
    }

    private static Match match(Stage record, Stage real, Random random) {
        Figures was = Figures.predicted(
                record.light(), record.placements(), record.state(), "mark", RatioConvention.LIT_TO_SHADOW);
        MarkLight at = real.light().mark("mark").orElseThrow();
        Reading all = new Reading(
                "mark",
                null,
                at.lit().lux() * Math.pow(2, METER_STOPS * random.nextGaussian()),
                at.shadow().lux() * Math.pow(2, METER_STOPS * random.nextGaussian()),
                at.background() == null ? null : at.background().lux(),
                read(at.lit().mix().reading().kelvin(), random),
                null,
                Signals.NONE);
        Figures now = Figures.predicted(
                        record.light(), record.placements(), record.state(), "mark", RatioConvention.LIT_TO_SHADOW)
                .metered(
                        List.of(all),
                        record.light(),
                        record.placements(),
                        record.state(),
                        "mark",
                        RatioConvention.LIT_TO_SHADOW,
                        ShippedCurve.NONE);
        return Match.of(was, now, TOLERANCES, Map.of());
    }

    private static @Nullable Double read(double kelvin, Random random) {
        return 1e6 / (Kelvin.of(kelvin).mired() + METER_MIRED * random.nextGaussian());
    }

    private static Stage shot() {
        Stage stage = Stage.room(3.0, Surface.grey(0.3), Surface.grey(0.6)).camera(0.5, 4);
        put(stage, "key", Role.KEY, LevelCurve.LINEAR, 2, 2.2, 2.1, 70, "Quarter CTO");
        put(stage, "fill", Role.FILL, LevelCurve.LINEAR, -2.4, 1.8, 1.8, 12, "Quarter CTO");
        put(stage, "edge", Role.EDGE, LevelCurve.LINEAR, -1.6, -2.2, 2.3, 40, "Half CTO");
        put(stage, "ambience", Role.AMBIENCE, LevelCurve.LINEAR, 0.5, 3.5, 2.6, 20, "Eighth CTO");
        put(stage, "background", Role.BACKGROUND, LevelCurve.LINEAR, 2.5, -2.5, 1.9, 55, "Half CTO");
        return stage;
    }

    private static void put(
            Stage stage,
            String key,
            Role role,
            LevelCurve curve,
            double x,
            double y,
            double z,
            double percent,
            String gel) {
        stage.head(
                        key,
                        role,
                        curve,
                        x,
                        y,
                        z,
                        Modifier.of(STOCK.stream()
                                .filter(s -> s.name().equals(gel))
                                .findFirst()
                                .orElseThrow()))
                .tie(key, new Level(percent))
                .tie(key, new Place(x, y, false));
    }

    private static Stage real(Random random, Fault fault, String at) {
        Stage stage = shot();
        for (String head : HEADS) {
            Place place = stage.state().value(head, Place.class).orElseThrow();
            double percent =
                    stage.state().value(head, Level.class).orElseThrow().percent()
                            * (1 + 0.05 * (2 * random.nextDouble() - 1));
            if (fault == Fault.MODE && head.equals(at)) {
                percent = 100 * (random.nextBoolean() ? LevelCurve.SQUARE : LevelCurve.S_CURVE).output(percent / 100);
            }
            stage.tie(
                            head,
                            new Place(
                                    place.xM() + 0.1 * random.nextDouble() - 0.05,
                                    place.yM() + 0.1 * random.nextDouble() - 0.05,
                                    false))
                    .tie(head, new Level(percent));
            if (fault == Fault.GEL && head.equals(at)) {
                Modifier hung = stage.state()
                        .value(head, Modifiers.class)
                        .orElseThrow()
                        .items()
                        .get(0);
                List<StockItem> others = new ArrayList<>(STOCK);
                others.removeIf(s -> s.name().equals(hung.name()));
                stage.tie(head, new Modifiers(List.of(Modifier.of(others.get(random.nextInt(others.size()))))));
            }
        }
        return stage;
    }

    private static StockItem gel(String name, double mired, double stops) {
        return new StockItem(name, StockKind.CORRECTION, FilterEffect.of(mired, stops, 0), 0, null, null, null);
    }
}
