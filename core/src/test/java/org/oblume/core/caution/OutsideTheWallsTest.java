package org.oblume.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Place;

class OutsideTheWallsTest {

    @Test
    void outsideThereIsWaterAndWind() {
        assertThat(Things.says(new OutsideTheWalls(), Things.lamp(Mount.STAND, 6500.0, 300), new Place(3, 8, true)))
                .hasValueSatisfying(c -> assertThat(c.kind()).isEqualTo(Caution.Kind.OUTSIDE));
        assertThat(Things.says(new OutsideTheWalls(), Things.lamp(Mount.STAND, 6500.0, 300), new Place(3, 3, false)))
                .isEmpty();
        assertThat(Things.says(new OutsideTheWalls(), Things.lamp(Mount.STAND, 6500.0, 300)))
                .as("nowhere yet")
                .isEmpty();
    }
}
