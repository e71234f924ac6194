package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Nodes that the others cannot reach. */
class NodeOutsideNetworkTest {

    @Test
    void aNodeOutsideTheNetworkIsTold() {
        NetworkNode cart = Findings.node("Cart", "10.0.0.21", "255.255.255.0", null, 1);
        assertThat(Findings.only(Findings.ofNodes(
                                new NodeOutsideNetwork(),
                                cart,
                                Findings.node("Grid", "10.0.1.22", "255.255.255.0", null, 2)))
                        .sentence())
                .startsWith("Grid (10.0.1.22 / 255.255.255.0) is not in the network of Cart");
        assertThat(Findings.only(Findings.ofNodes(
                                new NodeOutsideNetwork(),
                                Findings.node("Cart", "10.0.0.255", "255.255.255.0", null, 1)))
                        .kind())
                .isEqualTo(Conflict.Kind.NODE_OUTSIDE);
        assertThat(Findings.only(Findings.ofNodes(
                                new NodeOutsideNetwork(),
                                Findings.node("Cart", "10.0.0.21", "255.255.255.0", "10.0.9.1", 1)))
                        .sentence())
                .contains("gateway");
        assertThat(Findings.ofNodes(
                        new NodeOutsideNetwork(),
                        cart,
                        Findings.node("Grid", "10.0.0.22", "255.255.255.0", "10.0.0.1", 2)))
                .isEmpty();
    }
}
