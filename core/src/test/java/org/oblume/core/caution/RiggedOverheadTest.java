package org.oblume.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Mount;

class RiggedOverheadTest {

    @Test
    void overheadNeedsRatedPointsABondAndARigger() {
        assertThat(Things.says(new RiggedOverhead(), Things.lamp(Mount.OVERHEAD, 6500.0, 300)))
                .hasValueSatisfying(c -> assertThat(c.sentence()).contains("rated points", "safety bond", "rigger"));
        assertThat(Things.says(new RiggedOverhead(), Things.lamp(Mount.WALL_PLATE, 6500.0, 300)))
                .isEmpty();
    }
}
