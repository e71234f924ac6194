package org.oblume.core.measured;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Stage;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Optics;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Surface;
import org.oblume.core.rebuild.AsBuilt;
import org.oblume.core.rebuild.Substitute;
import org.oblume.core.rebuild.Substitutes;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Looking through a kit for what reaches a head's light, beside the light of that many heads alone. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class RebuildBenchmark {

    /** A room with ten heads, two hundred kinds of unit, forty filters. */
    @State(Scope.Benchmark)
    public static class Kit {

        final AsBuilt built;
        final Set<String> others;
        final List<Piece> units = new ArrayList<>();
        final List<StockItem> stock = new ArrayList<>();

        public Kit() {
            Random random = new Random(6);
            for (int i = 0; i < 40; i++) {
                stock.add(new StockItem(
                        "Filter " + i,
                        i < 30 ? StockKind.CORRECTION : StockKind.TINT,
                        FilterEffect.of(
                                i < 30 ? 200 * random.nextDouble() - 80 : 0,
                                random.nextDouble(),
                                i < 30 ? 0 : 0.03 * random.nextDouble() - 0.015),
                        0,
                        null,
                        null,
                        null));
            }
            Stage stage = Stage.room(3.0, Surface.grey(0.3), Surface.grey(0.6)).camera(0.5, 4);
            for (int i = 0; i < 10; i++) {
                stage.head(
                                "head-" + i,
                                i == 0 ? Role.KEY : Role.FILL,
                                4 * Math.cos(i),
                                4 * Math.sin(i),
                                2,
                                Modifier.of(stock.get(i)))
                        .tie("head-" + i, new Level(40));
            }
            Lamp like = Stage.lamp(LevelCurve.LINEAR);
            for (int i = 0; i < 200; i++) {
                double candela = 2000 + 40_000 * random.nextDouble();
                double lowest = i % 3 == 0 ? 5600 : 2700;
                units.add(new Piece(
                        "Unit " + i,
                        null,
                        0.1 + random.nextDouble(),
                        lowest,
                        i % 3 == 0 ? 5600.0 : 6500.0,
                        300,
                        Mount.STAND,
                        null,
                        new Lamp(
                                new Optics(candela, 40, candela, 40, null),
                                true,
                                0.3,
                                LevelCurve.LINEAR,
                                1,
                                0.02,
                                like.upkeep()),
                        null,
                        null));
            }
            built = AsBuilt.of(stage.recording(), stage.state(), stage.set(), PlanFit.NONE, List.of());
            others = stage.placements().stream()
                    .map(Placement::key)
                    .filter(k -> !k.equals("head-0"))
                    .collect(Collectors.toSet());
        }
    }

    @Benchmark
    public List<Substitute> substitutesOfTwoHundredUnits(Kit kit) {
        return Substitutes.of(kit.built, "head-0", Calibration.NONE, Set.of("Filter 0"), kit.units, kit.stock);
    }

    @Benchmark
    public double lightOfTwoHundredHeadsAlone(Kit kit) {
        double sum = 0;
        for (int i = 0; i < 200; i++) {
            sum += ShotLighting.of(
                            kit.built.scene().set(),
                            kit.built.scene().placements(),
                            kit.built.state(),
                            kit.others,
                            Map.of())
                    .facingLux("head-0", "mark");
        }
        return sum;
    }
}
