package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.Wall;

/** What the camera would see of the rig. The face at (0, 0) looks north; the camera stands north of it and looks south. */
class InFrameTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<HintKind> kinds(Stage stage) {
        return Found.kinds(new InFrame(), stage);
    }

    private static List<Hint> hints(Stage stage) {
        return Found.by(new InFrame(), stage);
    }

    @Test
    void aStandInTheViewIsInFrameAndSaysTheShortestWayOut() {
        Stage stage = stage().head("edge", Role.EDGE, 1, -1, 2.1).tie("edge", new Level(40));
        Hint hint = hints(stage).stream()
                .filter(h -> h.kind() == HintKind.IN_FRAME)
                .findFirst()
                .orElseThrow();
        assertThat(hint.title().metric())
                .matches("edge is \\d+ cm in frame, left"); // east of the mark is left for a camera that looks south
        assertThat(hint.reason().metric()).matches("Clear: \\d+ cm to the east.");
        assertThat(hint.urgent()).isTrue();
        int clear = Integer.parseInt(hint.reason().metric().replaceAll("\\D", ""));
        stage.tie("edge", new Place(1 + clear / 100.0, -1, true));
        assertThat(kinds(stage)).doesNotContain(HintKind.IN_FRAME);
    }

    @Test
    void aLongerLensLosesTheStandAndAWallHidesIt() {
        Stage stage = stage().head("edge", Role.EDGE, 1, -1, 2.1);
        assertThat(kinds(stage.tie("camera", new Lens(135)))).doesNotContain(HintKind.IN_FRAME);
        stage.tie("camera", new Lens(50))
                .with(new SetPlan(
                        null,
                        0,
                        List.of(Wall.of(List.of(PlanPoint.of(-3, -0.5), PlanPoint.of(3, -0.5)))),
                        List.of(),
                        List.of(),
                        List.of(),
                        null,
                        Surface.grey(0),
                        null,
                        null,
                        null));
        assertThat(kinds(stage)).doesNotContain(HintKind.IN_FRAME);
    }

    @Test
    void aFlagOfWhichOnlyTheEdgeCrossesTheFrameLineIsMeasuredAlongItsOwnWidth() {
        Stage across = stage().grip("flag", PlacementKind.FLAG, 2, 0.6, null, 1.9, 0, 1.5, 0, 0);
        Stage along = stage().grip("flag", PlacementKind.FLAG, 2, 0.6, null, 1.9, 0, 1.5, 90, 0);
        assertThat(kinds(across)).contains(HintKind.IN_FRAME);
        assertThat(kinds(along)).doesNotContain(HintKind.IN_FRAME);
    }
}
