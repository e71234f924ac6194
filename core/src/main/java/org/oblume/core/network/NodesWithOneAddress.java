package org.oblume.core.network;

import java.util.List;

/** Two nodes with the same address. */
final class NodesWithOneAddress implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        List<NetworkNode> nodes = patch.nodes();
        for (int i = 0; i < nodes.size(); i++) {
            for (NetworkNode other : nodes.subList(i + 1, nodes.size())) {
                NetworkNode node = nodes.get(i);
                if (node.address().equals(other.address())) {
                    patch.report(
                            Conflict.Kind.NODE_CLASH,
                            List.of(node.name(), other.name()),
                            "%s and %s have the same address %s: only one of them is heard."
                                    .formatted(
                                            node.name(),
                                            other.name(),
                                            node.address().print()),
                            "Give one of them another address in the network.");
                }
            }
        }
    }
}
