package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Patch;

/** All rules of a patch together. */
class PatchCheckTest {

    @Test
    void unitsSideBySideAreFine() {
        assertThat(Truck.check(Truck.spot("Key", 1, 1), Truck.spot("Edge", 1, 9), Truck.spot("Fill", 2, 1)))
                .isEmpty();
    }

    @Test
    void whatIsOfferedMendsTheConflict() {
        List<PatchedUnit> units = List.of(
                Truck.spot("Key", 1, 1),
                Truck.spot("Edge", 1, 4),
                Truck.spot("Fill", 1, 12),
                Truck.unit("Back", new Patch(1, 510, null, "16-bit white"), Truck.SPOT_MODES, Truck.at(50, 4300)));
        List<PatchedUnit> now = units;
        for (List<Conflict> found = PatchCheck.of(now, List.of(), List.of(), null);
                !found.isEmpty();
                found = PatchCheck.of(now, List.of(), List.of(), null)) {
            Conflict first = found.get(0);
            assertThat(first.proposal()).as(first.sentence()).isNotEmpty();
            now = now.stream()
                    .map(u -> new PatchedUnit(
                            u.placement(),
                            first.proposal().getOrDefault(u.placement().key(), u.patch()),
                            u.modes(),
                            u.values(),
                            u.menu()))
                    .toList();
        }
        assertThat(now.get(0).patch())
                .as("the first of two stays")
                .isEqualTo(units.get(0).patch());
    }
}
