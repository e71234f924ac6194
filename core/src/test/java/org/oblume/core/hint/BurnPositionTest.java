package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** How a lamp may burn. The face at (0, 0) looks north; the camera stands north of it and looks south. */
class BurnPositionTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<HintKind> kinds(Stage stage) {
        return Found.kinds(new BurnPosition(), stage);
    }

    @Test
    void aLampThatMayNotPointUpSaysSo() {
        Stage stage = stage();
        Lamp hot = new Lamp(
                Stage.lamp(LevelCurve.TUNGSTEN).optics(),
                true,
                0.1,
                LevelCurve.TUNGSTEN,
                0,
                0,
                new Lamp.Upkeep(0, null, 3, "", Lamp.Burn.NOT_ABOVE_45, 1, "", "", null));
        stage.put(
                new Placement(
                        "up",
                        "Up",
                        PlacementKind.HEAD,
                        Role.AMBIENCE,
                        null,
                        new Piece(
                                "Tungsten Fresnel",
                                null,
                                0.15,
                                3200.0,
                                3200.0,
                                650,
                                Mount.FLOOR,
                                null,
                                hot,
                                null,
                                null)),
                3,
                3,
                0.5,
                AimSetting.along(0, 60));
        assertThat(kinds(stage)).contains(HintKind.BURN_POSITION);
        assertThat(kinds(stage.tie("up", AimSetting.along(0, 40)))).doesNotContain(HintKind.BURN_POSITION);
    }
}
