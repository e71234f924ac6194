package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Role;

/** Two shadows of one nose. The face at (0, 0) looks north; the camera stands north of it and looks south. */
class CrossedNoseShadowsTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<HintKind> kinds(Stage stage) {
        return Found.kinds(new CrossedNoseShadows(), stage);
    }

    @Test
    void keyAndFillFromBothSidesCrossTheirNoseShadowsUntilTheFillGoesDown() {
        Stage stage = stage().head("key", Role.KEY, 2, 2.5, 2).head("fill", Role.FILL, -2, 2.5, 2);
        assertThat(kinds(stage)).contains(HintKind.NOSE_SHADOWS);
        assertThat(kinds(stage.tie("fill", new Level(20)))).doesNotContain(HintKind.NOSE_SHADOWS);
    }

    /** Whatever it is called: an edge that comes round far enough throws a nose of its own. */
    @Test
    void anyOtherLightThanTheKeyThrowsANoseShadowToItsSide() {
        Stage stage = stage().head("key", Role.KEY, 2, 2.5, 2).head("edge", Role.EDGE, -3, 1, 1.6);
        assertThat(Found.by(new CrossedNoseShadows(), stage)).singleElement().satisfies(h -> assertThat(h.placement())
                .isEqualTo("edge"));
    }

    /** High and from the side it misses the nose, and the jaw's shadow lies on the neck, towards the key. */
    @Test
    void aHighSideLightThrowsTheJawOnTheNeck() {
        Stage stage = stage().head("key", Role.KEY, 2, 2.5, 2).head("edge", Role.EDGE, -2, 0, 3);
        assertThat(Found.by(new CrossedNoseShadows(), stage)).singleElement().satisfies(h -> {
            assertThat(h.title().metric()).startsWith("Neck shadows");
            assertThat(h.reason().metric()).contains("jaw on the neck");
        });
        assertThat(kinds(stage.tie("edge", new Height(1.6)))).isEmpty();
    }
}
