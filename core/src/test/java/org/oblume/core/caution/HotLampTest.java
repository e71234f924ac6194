package org.oblume.core.caution;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Mount;

class HotLampTest {

    @Test
    void aFilamentThatDrawsMuchIsHot() {
        assertThat(Things.says(new HotLamp(), Things.lamp(Mount.STAND, 3200.0, 650)))
                .hasValueSatisfying(c -> assertThat(c.kind()).isEqualTo(Caution.Kind.HEAT));
        assertThat(Things.says(new HotLamp(), Things.lamp(Mount.STAND, 3400.0, 150)))
                .isPresent();
        assertThat(Things.says(new HotLamp(), Things.lamp(Mount.STAND, 3400.0, 149)))
                .as("a bulb")
                .isEmpty();
        assertThat(Things.says(new HotLamp(), Things.lamp(Mount.STAND, 6500.0, 650)))
                .as("no filament goes there")
                .isEmpty();
        assertThat(Things.says(new HotLamp(), Things.lamp(Mount.STAND, null, 650)))
                .isEmpty();
    }
}
