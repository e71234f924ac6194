package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Two nodes on one address. */
class NodesWithOneAddressTest {

    @Test
    void nodesThatShareAnAddressAreTold() {
        assertThat(Findings.only(Findings.ofNodes(
                                new NodesWithOneAddress(),
                                Findings.node("Cart", "10.0.0.21", "255.255.255.0", null, 1),
                                Findings.node("Grid", "10.0.0.21", "255.255.255.0", null, 2)))
                        .kind())
                .isEqualTo(Conflict.Kind.NODE_CLASH);
    }
}
