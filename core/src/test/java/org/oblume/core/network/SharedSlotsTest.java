package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Patch;

/** Two units on one slot. */
class SharedSlotsTest {

    @Test
    void unitsThatShareASlotAreToldAndTheNextFreeAddressMendsIt() {
        PatchedUnit key = Truck.spot("Key", 1, 1);
        PatchedUnit edge = Truck.spot("Edge", 1, 8);
        Conflict conflict = Findings.only(Findings.by(new SharedSlots(), key, edge, Truck.spot("Fill", 1, 16)));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.OVERLAP);
        assertThat(conflict.sentence()).isEqualTo("Key (1 to 8) and Edge (8 to 15) share slots of universe 1.");
        assertThat(conflict.proposal().get("edge")).isEqualTo(new Patch(1, 24, 8, "16-bit white"));
    }

    @Test
    void anOverlapIsToldExactlyWhereTwoFootprintsShareASlot() {
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            int one = 1 + random.nextInt(60);
            int other = 1 + random.nextInt(60);
            boolean shares = IntStream.range(one, one + 8).anyMatch(slot -> slot >= other && slot < other + 8);
            assertThat(Findings.by(new SharedSlots(), Truck.spot("Key", 1, one), Truck.spot("Edge", 1, other)).stream()
                            .anyMatch(c -> c.kind() == Conflict.Kind.OVERLAP))
                    .as("%d and %d", one, other)
                    .isEqualTo(shares);
            assertThat(Findings.by(new SharedSlots(), Truck.spot("Key", 1, one), Truck.spot("Edge", 2, other)))
                    .isEmpty();
        }
    }
}
