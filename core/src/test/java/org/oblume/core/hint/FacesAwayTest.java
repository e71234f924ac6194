package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Role;

/** A face that looks away from the light. It stands at (0, 0) and looks north unless said. */
class FacesAwayTest {

    private static List<Hint> hints(Stage stage) {
        return Found.by(new FacesAway(), stage);
    }

    @Test
    void aMarkWhoseBackIsToEveryLightIsLookedAtTwice() {
        Stage stage =
                Stage.outdoors().camera(0, 4).head("key", Role.KEY, 1, -3, 2).head("fill", Role.FILL, -1, -3, 2);
        assertThat(hints(stage)).singleElement().satisfies(h -> {
            assertThat(h.kind()).isEqualTo(HintKind.FACES_AWAY);
            assertThat(h.placement()).isEqualTo("mark");
        });
        assertThat(hints(stage.tie("mark", AimSetting.along(180, 0)))).isEmpty();
    }

    @Test
    void oneLightFromTheFrontIsEnough() {
        assertThat(hints(Stage.outdoors()
                        .camera(0, 4)
                        .head("edge", Role.EDGE, 1, -3, 2)
                        .head("key", Role.KEY, 1, 3, 2)))
                .isEmpty();
    }
}
