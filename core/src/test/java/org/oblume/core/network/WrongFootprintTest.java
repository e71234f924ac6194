package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Patch;

/** A recorded number of slots beside the mode’s own. */
class WrongFootprintTest {

    @Test
    void aFootprintThatIsNotTheModesIsTold() {
        Conflict footprint = Findings.only(Findings.by(
                new WrongFootprint(),
                Truck.unit("Spot", new Patch(1, 1, 6, "8-bit white"), Truck.SPOT_MODES, Truck.at(50, 4300))));
        assertThat(footprint.kind()).isEqualTo(Conflict.Kind.FOOTPRINT);
        assertThat(footprint.sentence()).isEqualTo("Spot is recorded with 6 slots; 8-bit white has 3.");
        assertThat(footprint.proposal().get("spot").slots()).isEqualTo(3);
    }
}
