package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Role;

/** An edge light that reaches the nose. The face at (0, 0) looks north; the camera stands north of it and looks south. */
class KickerOnNoseTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<HintKind> kinds(Stage stage) {
        return Found.kinds(new KickerOnNose(), stage);
    }

    @Test
    void aKickerTooFarForwardReachesTheNose() {
        assertThat(kinds(stage().head("edge", Role.EDGE, 2, -0.3, 2))).contains(HintKind.KICKER_ON_NOSE);
        assertThat(kinds(stage().head("edge", Role.EDGE, 1.5, -2.5, 2))).doesNotContain(HintKind.KICKER_ON_NOSE);
    }
}
