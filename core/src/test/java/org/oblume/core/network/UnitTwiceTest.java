package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Role;

/** One unit in two places. */
class UnitTwiceTest {

    @Test
    void oneUnitInTwoPlacesIsTold() {
        Conflict conflict = Findings.only(Findings.by(
                new UnitTwice(),
                Truck.unit(
                        "Key",
                        "Heron 2",
                        Role.KEY,
                        new Patch(1, 1, 8, "16-bit white"),
                        Truck.SPOT_MODES,
                        Truck.at(50, 4300),
                        Menu.NOTHING),
                Truck.unit(
                        "Edge",
                        "Heron 2",
                        Role.EDGE,
                        new Patch(1, 21, 8, "16-bit white"),
                        Truck.SPOT_MODES,
                        Truck.at(50, 4300),
                        Menu.NOTHING)));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.SAME_UNIT_TWICE);
        assertThat(conflict.sentence()).contains("Heron 2 is Key and Edge");
    }
}
