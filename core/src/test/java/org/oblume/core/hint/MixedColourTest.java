package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Role;

/** Lights of different white on one face. The face at (0, 0) looks north; the camera stands north of it and looks south. */
class MixedColourTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<HintKind> kinds(Stage stage) {
        return Found.kinds(new MixedColour(), stage);
    }

    private static List<Hint> hints(Stage stage) {
        return Found.by(new MixedColour(), stage);
    }

    @Test
    void twoLightsOfDifferentColourOnOneFaceAreMixed() {
        Stage stage = stage().head("key", Role.KEY, 2, 2, 1.8).head("fill", Role.FILL, 0.5, 3, 1.8);
        assertThat(kinds(stage)).doesNotContain(HintKind.MIXED_COLOUR);
        assertThat(hints(stage.tie("fill", new ColourTemperature(5300))))
                .filteredOn(h -> h.kind() == HintKind.MIXED_COLOUR)
                .singleElement()
                .satisfies(h -> assertThat(h.reason().metric()).contains("300 K"));
    }

    @Test
    void oneColourOnEachCheekIsMixedAsWell() {
        Stage stage = stage().head("key", Role.KEY, 3, 3, 1.5)
                .head("fill", Role.FILL, -3, 3, 1.5)
                .tie("fill", new Level(40));
        assertThat(kinds(stage)).doesNotContain(HintKind.MIXED_COLOUR);
        assertThat(kinds(stage.tie("fill", new ColourTemperature(5300)))).contains(HintKind.MIXED_COLOUR);
    }
}
