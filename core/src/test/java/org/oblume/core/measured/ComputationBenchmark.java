package org.oblume.core.measured;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.oblume.core.colour.LightColour;
import org.oblume.core.colour.LightMix;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.filter.Correction;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.Prescription;
import org.oblume.core.filter.Sheets;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.TStop;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** How the computation grows: what docs/performance.md reports of {@code core}. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class ComputationBenchmark {

    private static final WhitePoint DAYLIGHT = WhitePoint.of(Kelvin.of(5600), Duv.of(0.004));

    /** Best prescriptions of up to three filters. */
    @State(Scope.Benchmark)
    public static class Stock {

        @Param({"10", "20", "40"})
        int items;

        private final List<Sheets> sheets = new ArrayList<>();

        /** The benchmark calls this once, lazily, so that the size is known. */
        List<Sheets> sheets() {
            Random random = new Random(4);
            for (int i = sheets.size(); i < items; i++) {
                sheets.add(new Sheets(
                        "item " + i,
                        FilterEffect.of(
                                random.nextInt(250) - 100, random.nextInt(30) / 10.0, (random.nextInt(9) - 4) / 400.0),
                        3));
            }
            return sheets;
        }
    }

    @Benchmark
    public List<Prescription> correction(Stock stock) {
        return new Correction(
                        DAYLIGHT,
                        TStop.of(9),
                        WhitePoint.of(Kelvin.of(4600), Duv.NEUTRAL),
                        TStop.of(2),
                        Correction.Dimming.NONE)
                .prescribe(stock.sheets(), 3);
    }

    /** Several lights on one place. */
    @State(Scope.Benchmark)
    public static class Lights {

        @Param({"2", "20", "200"})
        int lights;

        private final List<LightMix.Part> parts = new ArrayList<>();

        List<LightMix.Part> parts() {
            for (int i = parts.size(); i < lights; i++) {
                parts.add(new LightMix.Part(100 + i, LightColour.of(Kelvin.of(2500 + 20 * i), Duv.of(i % 5 / 1000.0))));
            }
            return parts;
        }
    }

    @Benchmark
    public LightMix mix(Lights lights) {
        return LightMix.of(lights.parts());
    }

    /** A white that moves a little, so that nothing is worked out once for all. */
    @State(Scope.Thread)
    public static class Moving {

        private int step;

        Kelvin next() {
            step = (step + 1) % 1000;
            return Kelvin.of(3000 + step);
        }
    }

    /** The floor: one evaluation of the locus with its normal, and of the colour's x. */
    @Benchmark
    @OutputTimeUnit(TimeUnit.NANOSECONDS)
    public double oneEvaluationOfTheLocus(Moving moving) {
        return WhitePoint.of(moving.next(), Duv.of(0.004)).x();
    }

    /** The same evaluation, then back to kelvin and Duv. */
    @Benchmark
    @OutputTimeUnit(TimeUnit.NANOSECONDS)
    public double backToKelvinAndDuv(Moving moving) {
        return LightMix.of(List.of(new LightMix.Part(1, LightColour.of(moving.next(), Duv.of(0.004)))))
                .reading()
                .kelvin();
    }
}
