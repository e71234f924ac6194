package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Role;

/** A frame that would stand behind the mark that is 3 m from the lamp. */
class FrameBeyondMarkTest {

    private static List<Hint> hints(double distanceM) {
        Modifier silk = new Modifier("Half silk", 1, 0, 0, true, 1.2, distanceM, null);
        return Found.by(new FrameBeyondMark(), Stage.outdoors().head("key", Role.KEY, 0, 3, 1.5, silk));
    }

    @Test
    void aFrameFartherThanTheMarkCannotBeSo() {
        assertThat(hints(3.2)).singleElement().satisfies(h -> {
            assertThat(h.kind()).isEqualTo(HintKind.FRAME_BEYOND_MARK);
            assertThat(h.title().metric()).isEqualTo("Half silk stands behind the mark");
            assertThat(h.reason().metric()).contains("3.20 m before key, whose mark is 3.00 m away");
            assertThat(h.reason().imperial()).contains("10′ 6″");
        });
        assertThat(hints(0.8)).isEmpty();
    }
}
