package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Patch;

/** A unit on the network without an address. */
class NoAddressTest {

    @Test
    void aWirelessUnitWithoutAnAddressIsTold() {
        Conflict conflict = Findings.only(Findings.by(
                new NoAddress(),
                Truck.unit(
                        "Tube",
                        new Patch(null, null, null, "8-bit white", ControlPath.WIRELESS, null),
                        Truck.TUBE_MODES,
                        Truck.at(50, 4300))));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.NO_ADDRESS);
        assertThat(conflict.proposal().get("tube"))
                .isEqualTo(new Patch(1, 1, 6, "8-bit white", ControlPath.WIRELESS, null));
    }
}
