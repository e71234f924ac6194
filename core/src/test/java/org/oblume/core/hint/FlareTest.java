package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** Light on the lens from outside the frame. The face at (0, 0) looks north; the camera stands north of it and looks south. */
class FlareTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<HintKind> kinds(Stage stage) {
        return Found.kinds(new Flare(), stage);
    }

    @Test
    void aLightThatLooksIntoTheLensFromOutsideTheFrameFlares() {
        Stage stage = stage().head("edge", Role.EDGE, 2.6, -2, 2.1).tie("edge", AimSetting.along(325, 0));
        assertThat(kinds(stage)).contains(HintKind.FLARE);
        assertThat(kinds(stage.grip("flag", PlacementKind.FLAG, 1, 1, null, 2.2, -1, 2, 20, 0)))
                .doesNotContain(HintKind.FLARE);
        assertThat(kinds(stage().head("edge", Role.EDGE, 2.6, -2, 2.1).tie("edge", AimSetting.along(180, 0))))
                .doesNotContain(HintKind.FLARE);
    }
}
