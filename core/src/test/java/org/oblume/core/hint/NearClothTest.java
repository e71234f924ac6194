package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** Cloth and gel near a lamp. The face at (0, 0) looks north; the camera stands north of it and looks south. */
class NearClothTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<HintKind> kinds(Stage stage) {
        return Found.kinds(new NearCloth(), stage);
    }

    @Test
    void clothTooNearAHotLampIsToBeActedOn() {
        Modifier near = new Modifier("Muslin", 2, 0, 0, true, 1.2, 0.3, null);
        Modifier far = new Modifier("Muslin", 2, 0, 0, true, 1.2, 0.8, null);
        assertThat(kinds(stage().head("key", Role.KEY, 2, 2, 2, near))).contains(HintKind.NEAR_CLOTH);
        assertThat(kinds(stage().head("key", Role.KEY, 2, 2, 2, far))).doesNotContain(HintKind.NEAR_CLOTH);
        assertThat(kinds(stage().head("key", Role.KEY, 2, 2, 2)
                        .grip("curtain", PlacementKind.CURTAIN, 2, 2, null, 2, 2.4, 1.5, 0, 0)))
                .contains(HintKind.NEAR_CLOTH);
    }
}
