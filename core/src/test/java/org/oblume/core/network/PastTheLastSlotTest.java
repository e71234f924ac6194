package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Patch;

/** A footprint past the end of its universe. */
class PastTheLastSlotTest {

    @Test
    void aFootprintPast512IsTold() {
        Conflict conflict = Findings.only(Findings.by(
                new PastTheLastSlot(),
                Truck.unit("Key", new Patch(1, 508, null, "16-bit white"), Truck.SPOT_MODES, Truck.at(50, 4300))));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.PAST_512);
        assertThat(conflict.fix()).contains("505");
    }
}
