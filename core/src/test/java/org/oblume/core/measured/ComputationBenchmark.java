package org.oblume.core.measured;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.LightColour;
import org.oblume.core.colour.LightMix;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.filter.Correction;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.Prescription;
import org.oblume.core.filter.Sheets;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.Stage;
import org.oblume.core.photometry.BeamShape;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.photometry.LightSource;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.Wall;
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
import org.openjdk.jmh.annotations.Setup;
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

    /** Heads around five marks. */
    @State(Scope.Benchmark)
    public static class Heads {

        @Param({"10", "40", "160"})
        int heads;

        private final List<LightSource> sources = new ArrayList<>();
        private final List<SpacePoint> marks = new ArrayList<>();

        List<LightSource> sources() {
            Random random = new Random(7);
            for (int i = marks.size(); i < 5; i++) {
                marks.add(new SpacePoint(i, i % 2, 1.5));
            }
            for (int i = sources.size(); i < heads; i++) {
                SpacePoint at = new SpacePoint(random.nextDouble() * 12 - 4, 3 + random.nextDouble() * 6, 2.2);
                Aim aim = Aim.between(at, marks.get(i % 5));
                sources.add(new LightSource(
                        at,
                        aim.bearing(),
                        aim.tiltDeg(),
                        new BeamShape(9000, 36),
                        0.15,
                        0.7,
                        LightColour.of(Kelvin.of(3000 + 20 * i), Duv.NEUTRAL),
                        Calibration.NONE));
            }
            return sources;
        }
    }

    @Benchmark
    public double lightOnFiveMarks(Heads heads) {
        double sum = 0;
        List<LightSource> sources = heads.sources();
        for (SpacePoint mark : heads.marks) {
            sum += sources.stream().mapToDouble(s -> s.facingLux(mark)).sum();
        }
        return sum;
    }

    /** A shot with walls, ten pieces of grip and five marks; one head moves a little each time. */
    @State(Scope.Thread)
    public static class Rig {

        @Param({"10", "40", "160"})
        int heads;

        @Param({"8", "32"})
        int walls;

        private @Nullable Stage stage;
        private int step;

        @Setup
        public void build() {
            List<Wall> all = new ArrayList<>(List.of(Wall.of(List.of(
                    PlanPoint.of(-9, -9),
                    PlanPoint.of(9, -9),
                    PlanPoint.of(9, 9),
                    PlanPoint.of(-9, 9),
                    PlanPoint.of(-9, -9)))));
            for (int i = 4; i < walls; i++) {
                double x = -8 + 16.0 * i / walls;
                all.add(Wall.of(List.of(PlanPoint.of(x, 6.5), PlanPoint.of(x, 8))));
            }
            Stage built = Stage.outdoors()
                    .with(new SetPlan(3.6, 0, all, List.of(), List.of(), List.of()))
                    .camera(0, -6);
            for (int i = 1; i < 5; i++) {
                built.put(
                        new Placement(
                                "mark-" + i,
                                "Guest " + i,
                                PlacementKind.MARK,
                                Role.SUBJECT,
                                null,
                                new Piece("Person", null, 0.5, null, null, 0, Mount.FLOOR)),
                        i,
                        i % 2,
                        1.5,
                        AimSetting.along(40 * i, 0));
            }
            Random random = new Random(7);
            for (int i = 0; i < heads; i++) {
                built.head("head-" + i, Role.KEY, random.nextDouble() * 14 - 7, random.nextDouble() * 8 - 3, 2.3);
            }
            for (int i = 0; i < 10; i++) {
                built.grip(
                        "grip-" + i,
                        i % 2 == 0 ? PlacementKind.FLAG : PlacementKind.BOUNCE,
                        0.9,
                        0.9,
                        Surface.grey(i % 2 == 0 ? 0.03 : 0.85),
                        -5 + i,
                        4,
                        1.8,
                        180,
                        0);
            }
            stage = built;
        }

        Stage moved() {
            step = (step + 1) % 100;
            return Objects.requireNonNull(stage).tie("head-0", new Place(-3 + step / 100.0, 2, false));
        }
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    public int lightOfAShotWithOneHeadMoved(Rig rig) {
        return rig.moved().light().marks().size();
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
