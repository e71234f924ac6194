package org.oblume.core.measured;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.light.BustLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.Wall;
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

    private static final double WIDE = 12;
    private static final double DEEP = 9;

    @Param({"10", "40", "160"})
    public int heads;

    @Param({"8", "32"})
    public int walls;

    private Stage stage;
    private long step;

    @Setup
    public void hall() {
        stage = Stage.outdoors().with(set(0)).camera(2, -3);
        for (int i = 1; i < 5; i++) {
            stage.put(
                    new Placement(
                            "mark-" + i,
                            "Extra " + i,
                            PlacementKind.MARK,
                            Role.SUBJECT,
                            null,
                            new Piece("Person", null, 0.5, null, null, 0, Mount.FLOOR)),
                    i - 2.5,
                    1.5,
                    Stage.FACE_M,
                    AimSetting.along(40 * i, 0));
        }
        for (int i = 0; i < heads; i++) {
            double turn = 2 * Math.PI * i / heads;
            stage.head("head-" + i, i == 0 ? Role.KEY : Role.FILL, 4.5 * Math.sin(turn), 3.5 * Math.cos(turn), 2.5);
        }
        for (int i = 0; i < 4; i++) {
            stage.grip("flag-" + i, PlacementKind.FLAG, 0.6, 0.9, null, i - 1.5, 2.2, 1.7, 180, 0);
            stage.grip("board-" + i, PlacementKind.BOUNCE, 1.2, 1.2, Surface.grey(0.8), i - 2, -2, 1.5, 10 * i, 0);
        }
        Modifier silk = new Modifier("Half silk", 1.2, 1, 0, true, null, null, null).softAs(0.6);
        stage.grip("frame-0", PlacementKind.FRAME, 1.2, 1.2, null, 2, 2, 1.8, 225, 0, silk);
        stage.grip("frame-1", PlacementKind.FRAME, 2.4, 2.4, null, -3, 1, 2, 110, 0, silk);
    }

    private SetPlan set(double moved) {
        List<Wall> all = new ArrayList<>();
        all.add(Wall.of(List.of(
                PlanPoint.of(-WIDE / 2, -DEEP / 2),
                PlanPoint.of(WIDE / 2 + moved, -DEEP / 2),
                PlanPoint.of(WIDE / 2 + moved, DEEP / 2),
                PlanPoint.of(-WIDE / 2, DEEP / 2),
                PlanPoint.of(-WIDE / 2, -DEEP / 2))));
        for (int i = 4; i < walls; i++) {
            double x = -WIDE / 2 + (i - 3.5) * WIDE / (walls - 3);
            all.add(new Wall(List.of(PlanPoint.of(x, 3.9), PlanPoint.of(x + 0.1, 4.4)), 2.0, null));
        }
        return new SetPlan(4.0, 0, all, List.of(), List.of(), List.of());
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
        return stage.with(set(moved())).light();
    }
}
