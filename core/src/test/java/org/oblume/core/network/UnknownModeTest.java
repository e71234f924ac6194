package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Patch;

/** A mode that nobody knows. */
class UnknownModeTest {

    @Test
    void aModeThatTheKindDoesNotHaveIsToldWithTheUsualOne() {
        Conflict unknown = Findings.only(Findings.by(
                new UnknownMode(),
                Truck.unit("Spot", new Patch(1, 1, 8, "extended"), Truck.SPOT_MODES, Truck.at(50, 4300))));
        assertThat(unknown.kind()).isEqualTo(Conflict.Kind.UNKNOWN_MODE);
        assertThat(unknown.sentence()).contains("“extended”");
        assertThat(unknown.proposal().get("spot").mode()).isEqualTo("16-bit white");
    }

    @Test
    void aPatchWithoutAModeIsToldToo() {
        Conflict none = Findings.only(Findings.by(
                new UnknownMode(), Truck.unit("Spot", new Patch(1, 1, 8, null), Truck.SPOT_MODES, Truck.at(50, 4300))));
        assertThat(none.kind()).isEqualTo(Conflict.Kind.UNKNOWN_MODE);
        assertThat(none.sentence()).contains("no mode recorded");
    }
}
