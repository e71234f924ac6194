package org.oblume.server.recall;

import java.util.List;
import org.oblume.core.network.PatchCheck;
import org.oblume.core.network.UnitAnswer;

/**
 * What the rig answers (docs/rig.md).
 *
 * @param units what hangs on it
 * @param nodes that carry universes
 * @param sources that it hears
 */
public record RigState(
        List<RigUnit> units, List<RigNode> nodes, List<PatchCheck.SacnSource> sources, PacketCounts packets) {

    /**
     * @param outputPercent of its full light
     * @param faults what was set to go wrong with it
     */
    public record RigUnit(UnitAnswer answer, double outputPercent, List<String> faults) {}

    public record RigNode(String name, List<Integer> ports, boolean up) {}

    public record PacketCounts(long received, long malformed, long outOfOrder, long flooding) {}
}
