package org.oblume.core.network;

import java.util.List;

/** A node that the others cannot reach: in another network, on an address of no single device, or behind a gateway that lies outside. */
final class NodeOutsideNetwork implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        List<NetworkNode> nodes = patch.nodes();
        for (int i = 0; i < nodes.size(); i++) {
            NetworkNode node = nodes.get(i);
            for (NetworkNode other : nodes.subList(i + 1, nodes.size())) {
                if (!node.address().equals(other.address()) && areApart(node, other)) {
                    report(
                            patch,
                            other,
                            "%s (%s / %s) is not in the network of %s (%s / %s)."
                                    .formatted(
                                            other.name(),
                                            other.address().print(),
                                            other.mask().print(),
                                            node.name(),
                                            node.address().print(),
                                            node.mask().print()),
                            "Give it an address and a mask of that network.");
                }
            }
            checkAlone(patch, node);
        }
    }

    private static boolean areApart(NetworkNode node, NetworkNode other) {
        return !node.address().sharesNetwork(other.address(), node.mask())
                || !node.mask().equals(other.mask());
    }

    private static void checkAlone(PatchContext patch, NetworkNode node) {
        if (node.address().isNetworkOrBroadcast(node.mask())) {
            report(
                    patch,
                    node,
                    "%s has the address %s, which in its network stands for no single device."
                            .formatted(node.name(), node.address().print()),
                    "Give it another address.");
        }
        Ipv4 gateway = node.gateway();
        if (gateway != null && !gateway.sharesNetwork(node.address(), node.mask())) {
            report(
                    patch,
                    node,
                    "The gateway %s of %s lies outside its network.".formatted(gateway.print(), node.name()),
                    "Clear the gateway, or give one inside the network: sACN does not need it.");
        }
    }

    private static void report(PatchContext patch, NetworkNode node, String sentence, String fix) {
        patch.report(Conflict.Kind.NODE_OUTSIDE, List.of(node.name()), sentence, fix);
    }
}
