package org.oblume.core.measured;

import java.util.concurrent.TimeUnit;
import org.oblume.core.light.BustLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
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

/** The whole light of a shot in a hall with a ceiling, 10 pieces of grip and 5 marks, after one thing has moved by a centimetre. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
@State(Scope.Thread)
public class LightBenchmark {

    @Param({"10", "40", "160"})
    public int heads;

    @Param({"8", "32"})
    public int walls;

    private Stage stage;
    private long step;

    @Setup
    public void hall() {
        stage = MeasuredHall.of(heads, walls);
    }

    /** Back and forth over 40 cm in steps that do not come again soon. */
    private double moved() {
        step++;
        return (step % 997) * 0.0004;
    }

    @Benchmark
    public ShotLighting aHeadIsDragged() {
        return stage.tie("head-0", new Place(moved(), 3.5, true)).light();
    }

    /** With the bust at the first mark, on which one head's light is worked out anew. */
    @Benchmark
    public BustLight aHeadIsDraggedBeforeTheBust() {
        ShotLighting light = aHeadIsDragged();
        return light.bust(light.marks().get(0));
    }

    @Benchmark
    public ShotLighting allLevelsChange() {
        double level = 50 + 100 * moved();
        for (int i = 0; i < heads; i++) {
            stage.tie("head-" + i, new Level(level));
        }
        return stage.light();
    }

    @Benchmark
    public ShotLighting allHeadsAreZoomed() {
        double beam = 40 + 50 * moved();
        for (int i = 0; i < heads; i++) {
            stage.tie("head-" + i, new Beam(beam));
        }
        return stage.light();
    }

    @Benchmark
    public ShotLighting aMarkIsDragged() {
        return stage.tie("mark-1", new Place(moved(), 1, true)).light();
    }

    @Benchmark
    public ShotLighting aFlagIsDragged() {
        return stage.tie("flag-1", new Place(moved(), 2.2, true)).light();
    }

    @Benchmark
    public ShotLighting aFrameIsDragged() {
        return stage.tie("frame-0", new Place(2 + moved(), 2, true)).light();
    }

    @Benchmark
    public ShotLighting aSetIsSeenForTheFirstTime() {
        return stage.with(MeasuredHall.set(walls, moved())).light();
    }
}
