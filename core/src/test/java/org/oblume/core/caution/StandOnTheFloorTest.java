package org.oblume.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Mount;

class StandOnTheFloorTest {

    @Test
    void aStandIsBaggedAndNothingElseIs() {
        assertThat(Things.says(new StandOnTheFloor(), Things.lamp(Mount.STAND, 6500.0, 300)))
                .hasValueSatisfying(c -> assertThat(c.kind()).isEqualTo(Caution.Kind.STAND))
                .hasValueSatisfying(c -> assertThat(c.sentence()).contains("Bag the high leg"));
        assertThat(Things.says(new StandOnTheFloor(), Things.lamp(Mount.OVERHEAD, 6500.0, 300)))
                .isEmpty();
    }
}
