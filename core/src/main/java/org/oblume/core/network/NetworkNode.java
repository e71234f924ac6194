package org.oblume.core.network;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Patch;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A box that takes universes off the network and hands them to cables or a radio.
 *
 * @param name what the crew calls it, 1 to 60 characters
 * @param address of its own
 * @param mask of its network
 * @param gateway out of its network, or null
 * @param ports universe of each port, in order; at most 64
 */
public record NetworkNode(String name, Ipv4 address, Ipv4 mask, @Nullable Ipv4 gateway, List<Integer> ports) {

    private static final int LONGEST_NAME = 60;
    private static final int MOST_PORTS = 64;

    public NetworkNode {
        name = Checks.text("The node's name", name, LONGEST_NAME);
        ports = List.copyOf(ports);
        if (!mask.isMask()) {
            throw new Refusal("mask", "%s is not a mask: give one such as 255.255.255.0.".formatted(mask.print()));
        }
        Checks.within("ports", "The number of ports", ports.size(), 0, MOST_PORTS, "");
        ports.forEach(p -> Checks.within("ports", "Universe", p, 1, Patch.LAST_UNIVERSE, ""));
    }

    public boolean carries(int universe) {
        return ports.contains(universe);
    }
}
