package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.network.PatchCheck.SacnSource;

/** A source above ours. */
class OverruledTest {

    @Test
    void aSourceAboveOursIsTold() {
        assertThat(Findings.ofSources(
                        new Overruled(),
                        new SacnSource(1, "us", "Oblume", 120),
                        new SacnSource(1, "them", "house desk", 100)))
                .isEmpty();
        Conflict above = Findings.only(Findings.ofSources(
                new Overruled(), new SacnSource(1, "us", "Oblume", 100), new SacnSource(1, "them", "house desk", 120)));
        assertThat(above.kind()).isEqualTo(Conflict.Kind.OVERRULED);
        assertThat(above.fix()).contains("above 120");
    }
}
