package org.oblume.core.measured;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.oblume.core.light.CameraFrame;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Stage;
import org.oblume.core.picture.Frame;
import org.oblume.core.picture.FrameView;
import org.oblume.core.picture.Isostops;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.White;
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

/**
 * The predicted picture of a hall, after something has changed. Its floor is a bare loop in which a ray of each dot looks for what it meets
 * among as many planes as the hall has.
 */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(1)
@State(Scope.Thread)
public class FrameBenchmark {

    private static final double WHITE_K = 5600;

    @Param({"160", "640", "1280"})
    public int width;

    @Param({"10", "40"})
    public int heads;

    @Param({"8", "32"})
    public int walls;

    /** Floor, ceiling, grip, and five marks' busts and bodies as a box each. */
    private static final int OTHER_PLANES = 2 + 10 + 5 * 12;

    private Stage stage;
    private BareRays bare;
    private long step;

    @Setup
    public void hall() {
        stage = MeasuredHall.of(heads, walls);
        stage.tie("camera", new Lens(24));
        bare = new BareRays(walls + OTHER_PLANES);
    }

    private double moved() {
        step++;
        return (step % 997) * 0.0004;
    }

    private Frame picture() {
        ShotLighting light = stage.light();
        CameraFrame camera =
                CameraFrame.of(stage.placement("camera"), stage.state()).orElseThrow();
        double required = light.metering()
                .orElseThrow()
                .exposure()
                .required(TStop.of(2.8))
                .lux();
        return Frame.of(
                new FrameView(camera, width), light.seen(), new White(WHITE_K, 0).camera(), required, part -> {});
    }

    /** One ray a dot: what a picture casts for what is seen, and once more for each light that is cast anew. */
    @Benchmark
    public int floorOfOneRayADot() {
        return bare.meet(width, width * 9 / 16);
    }

    @Benchmark
    public Frame aHeadIsDragged() {
        stage.tie("head-0", new Place(moved(), 3.5, true));
        return picture();
    }

    /** Nothing is cast anew: what each source brings is added up. */
    @Benchmark
    public Frame aLevelChanges() {
        stage.tie("head-0", new Level(50 + 100 * moved()));
        return picture();
    }

    @Benchmark
    public List<Isostops.Line> linesOfAPicture() {
        return Isostops.of(aLevelChanges(), Frame.Of.LIGHT, 1);
    }

    /** The camera: all light is cast anew on what it sees. */
    @Benchmark
    public Frame theCameraIsDragged() {
        stage.tie("camera", new Place(2 + moved(), -3, true));
        return picture();
    }

    @Benchmark
    public Frame aSetIsSeenForTheFirstTime() {
        stage.with(MeasuredHall.set(walls, moved()));
        return picture();
    }
}
