package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.oblume.core.network.PatchCheck.SacnSource;

/** Sources that are heard by chance. */
class TwoSourcesTest {

    @Test
    void twoSourcesAtOnePriorityAreTold() {
        assertThat(Findings.ofSources(new TwoSources(), new SacnSource(1, "us", "Oblume", 100)))
                .isEmpty();
        assertThat(Findings.ofSources(
                        new TwoSources(),
                        new SacnSource(1, "us", "Oblume", 100),
                        new SacnSource(2, "them", "house desk", 100)))
                .as("each in a universe of its own")
                .isEmpty();
        Conflict same = Findings.only(Findings.ofSources(
                new TwoSources(),
                new SacnSource(1, "us", "Oblume", 100),
                new SacnSource(1, "them", "house desk", 100)));
        assertThat(same.kind()).isEqualTo(Conflict.Kind.TWO_SOURCES);
        assertThat(same.sentence()).contains("Oblume and house desk both send universe 1 at priority 100");
    }
}
