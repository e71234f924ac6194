package org.oblume.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;

class HotFrontTest {

    private static final Modifiers GEL =
            new Modifiers(List.of(new Modifier("Quarter CTB", 0.5, -35, 0, false, null, null, null)));

    @Test
    void onlyWhatHangsOnAHotLampIsWarnedOf() {
        assertThat(Things.says(new HotFront(), Things.lamp(Mount.STAND, 3200.0, 650), GEL))
                .hasValueSatisfying(c -> assertThat(c.sentence()).contains("gel"));
        assertThat(Things.says(new HotFront(), Things.lamp(Mount.STAND, 3200.0, 650), Modifiers.NONE))
                .isEmpty();
        assertThat(Things.says(new HotFront(), Things.lamp(Mount.STAND, 6500.0, 650), GEL))
                .isEmpty();
    }
}
