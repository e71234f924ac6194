package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Role;

/** Light from under the eyes. The face at (0, 0) is 1.5 m high and looks north. */
class FromBelowTest {

    private static List<Hint> hints(Stage stage) {
        return Found.by(new FromBelow(), stage);
    }

    @Test
    void aLampAtTheKneesLightsFromBelowUntilItIsRaised() {
        Stage stage = Stage.outdoors().camera(0, 4).head("key", Role.KEY, 0, 2, 0.6);
        assertThat(hints(stage)).singleElement().satisfies(h -> {
            assertThat(h.kind()).isEqualTo(HintKind.FROM_BELOW);
            assertThat(h.title().metric()).isEqualTo("key lights Repairer from below");
            assertThat(h.reason().metric()).contains("24° under the eyes"); // atan(0.9 / 2)
        });
        assertThat(hints(stage.tie("key", new Height(1.4)))).isEmpty();
    }

    @Test
    void aLittleOfItOrFromBehindIsNotSeen() {
        Stage stage =
                Stage.outdoors().camera(0, 4).head("key", Role.KEY, 0, 2, 2).head("low", Role.FILL, 0, 2, 0.6);
        assertThat(hints(stage)).hasSize(1);
        assertThat(hints(stage.tie("low", new Level(5)))).isEmpty();
        assertThat(hints(stage.tie("low", new Level(100)).tie("low", new Place(0, -2, true))))
                .isEmpty();
    }
}
