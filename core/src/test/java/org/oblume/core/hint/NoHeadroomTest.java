package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** A light that has nothing left to give. The face at (0, 0) looks north; the camera stands north of it and looks south. */
class NoHeadroomTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<HintKind> kinds(Stage stage) {
        return Found.kinds(new NoHeadroom(), stage);
    }

    @Test
    void atFullThereIsNoHeadroom() {
        assertThat(kinds(stage().head("key", Role.KEY, 3, 2, 2))).contains(HintKind.NO_HEADROOM);
        assertThat(kinds(stage().head("key", Role.KEY, 3, 2, 2).tie("key", new Level(98))))
                .doesNotContain(HintKind.NO_HEADROOM);
    }

    @Test
    void aTubeThatCannotBeDimmedIsNotToldToHaveNoHeadroom() {
        Lamp usual = Stage.lamp(LevelCurve.LINEAR);
        Lamp tube = new Lamp(usual.optics(), false, 0.04, LevelCurve.LINEAR, 100, 0, usual.upkeep());
        Stage stage = stage();
        stage.put(
                new Placement(
                        "tube",
                        "Tube",
                        PlacementKind.PRACTICAL,
                        Role.AMBIENCE,
                        null,
                        new Piece(
                                "Fluorescent tube",
                                null,
                                1.2,
                                4150.0,
                                4150.0,
                                40,
                                Mount.OVERHEAD,
                                null,
                                tube,
                                null,
                                null)),
                3,
                2,
                2.9,
                AimSetting.along(0, -90));
        stage.tie("tube", new Level(100)).tie("tube", new ColourTemperature(4150));
        assertThat(kinds(stage)).doesNotContain(HintKind.NO_HEADROOM);
    }
}
