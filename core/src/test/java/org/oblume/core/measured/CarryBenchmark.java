package org.oblume.core.measured;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Tint;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Resolving what the shots of a large scene hold, beside one pass over its knots. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CarryBenchmark {

    /** 60 shots in one chain, 120 placements, 1,500 knots. */
    @State(Scope.Benchmark)
    public static class LongNight {

        final List<Knot> knots = new ArrayList<>();
        final CarryBook book;

        public LongNight() {
            Attribution tie = new Attribution(Reason.MATCH, null, "gaffer", Instant.EPOCH, 1);
            List<ShotNode> shots = new ArrayList<>();
            Random random = new Random(4);
            for (int s = 0; s < 60; s++) {
                shots.add(
                        new ShotNode(new Slate("S" + s), s == 0 ? null : new Slate("S" + (s - 1)), ShotStage.PLANNED));
            }
            for (int i = 0; i < 120; i++) {
                for (AttributeValue value : List.of(
                        SetStatus.ON,
                        Place.of(i, 1),
                        new Height(2),
                        new Level(50),
                        new ColourTemperature(4300),
                        new Tint(0))) {
                    knots.add(new Knot(new Slate("S0"), "p" + i, value, tie));
                }
            }
            for (int i = 0; knots.size() < 1500; i++) {
                knots.add(new Knot(
                        new Slate("S" + (1 + i % 59)), "p" + (i / 59 + i % 59), new Level(random.nextInt(100)), tie));
            }
            book = CarryBook.of(shots, knots);
        }
    }

    /** Every shot resolved by itself, as a plot or a comparison needs one. */
    @Benchmark
    public int resolvingAllShots(LongNight night) {
        int held = 0;
        for (Slate slate : night.book.slates()) {
            held += night.book.resolve(slate).placements().size();
        }
        return held;
    }

    /** Every shot resolved from the one before, as the carry board needs them all. */
    @Benchmark
    public int resolvingAllShotsInOneGo(LongNight night) {
        return night.book.resolveAll().size();
    }

    /** The floor: one pass over the same knots, into one map. */
    @Benchmark
    public int onePassOverTheKnots(LongNight night) {
        Map<String, Map<Attribute, Knot>> held = new HashMap<>();
        for (Knot knot : night.knots) {
            held.computeIfAbsent(knot.placement(), k -> new EnumMap<>(Attribute.class))
                    .put(knot.attribute(), knot);
        }
        return held.size();
    }
}
