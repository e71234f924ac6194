package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** A universe without a node. */
class UniverseNotCarriedTest {

    @Test
    void aUniverseThatNoNodeCarriesIsToldWithWhoHearsNothing() {
        Conflict conflict = Findings.only(Findings.ofNodes(
                new UniverseNotCarried(), Findings.node("Cart", "10.0.0.21", "255.255.255.0", null, 2, 3)));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.NOT_CARRIED);
        assertThat(conflict.sentence()).isEqualTo("No node carries universe 1: Key would hear nothing.");
    }
}
