package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** People under what hangs. The face at (0, 0) looks north; the camera stands north of it and looks south. */
class UnderAUnitTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<HintKind> kinds(Stage stage) {
        return Found.kinds(new UnderAUnit(), stage);
    }

    private static List<Hint> hints(Stage stage) {
        return Found.by(new UnderAUnit(), stage);
    }

    @Test
    void aPersonUnderAnOverheadUnit() {
        Stage stage = stage();
        stage.put(
                new Placement(
                        "top",
                        "Top",
                        PlacementKind.HEAD,
                        Role.AMBIENCE,
                        null,
                        new Piece(
                                "Panel",
                                null,
                                0.6,
                                2800.0,
                                6500.0,
                                200,
                                Mount.OVERHEAD,
                                null,
                                Stage.lamp(LevelCurve.LINEAR),
                                null,
                                null)),
                0.3,
                0.2,
                3,
                AimSetting.along(0, -90));
        assertThat(hints(stage))
                .filteredOn(h -> h.kind() == HintKind.UNDER_A_UNIT)
                .singleElement()
                .satisfies(h -> assertThat(h.reason().metric()).contains("rigger"));
        assertThat(kinds(stage.tie("top", new Place(3, 0, true)))).doesNotContain(HintKind.UNDER_A_UNIT);
    }

    @Test
    void anOverheadClothIsOverAPersonToo() {
        Stage stage = stage();
        stage.put(
                new Placement(
                        "silk",
                        "Silk",
                        PlacementKind.FRAME,
                        Role.AMBIENCE,
                        null,
                        new Piece("Overhead cloth", null, 3.6, null, null, 0, Mount.OVERHEAD, 3.6, null, null, null)),
                1,
                1,
                3,
                AimSetting.along(0, -90));
        assertThat(kinds(stage)).contains(HintKind.UNDER_A_UNIT);
        assertThat(kinds(stage.tie("silk", new Place(6, 1, true)))).doesNotContain(HintKind.UNDER_A_UNIT);
    }
}
