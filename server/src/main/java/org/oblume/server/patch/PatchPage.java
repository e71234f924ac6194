package org.oblume.server.patch;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.network.Conflict;
import org.oblume.core.network.NetworkNode;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Role;

/**
 * The patch of a shot.
 *
 * @param universes those that something listens to or a node carries, in order
 * @param units the lights on set, in the scene's order
 * @param nodes of the production
 * @param conflicts what cannot work, each with how to mend it
 */
public record PatchPage(
        long shotId,
        Slate slate,
        long productionId,
        List<UniverseStrip> universes,
        List<PatchedLight> units,
        List<KnownNode> nodes,
        List<PatchConflict> conflicts) {

    /**
     * @param left slots that nothing listens to
     * @param carriedBy names of the nodes that have it on a port
     */
    public record UniverseStrip(int universe, int left, List<String> carriedBy) {}

    /**
     * @param said its patch in words
     * @param slots its footprint
     * @param last last slot of it, which may be past 512; null without an address
     * @param dialled what it is dialled to, in words
     * @param menu its menu settings in words, or null when none are recorded
     * @param atTheHead what its mode cannot be told, in words; empty when it is all sent
     */
    public record PatchedLight(
            String key,
            String name,
            @Nullable String unit,
            String what,
            Role role,
            Patch patch,
            String said,
            ControlPath path,
            int slots,
            @Nullable Integer last,
            List<ModeChoice> modes,
            String dialled,
            @Nullable String menu,
            List<String> atTheHead) {}

    /**
     * A control mode.
     *
     * @param say what its slots are
     */
    public record ModeChoice(String name, int slots, String say) {}

    /**
     * A node as it is kept.
     *
     * @param version for If-Match
     */
    public record KnownNode(long id, long version, NodeCard card) {}

    /**
     * What is said of a node; addresses as dotted numbers.
     *
     * @param ports universe of each port, in order
     */
    public record NodeCard(String name, String address, String mask, @Nullable String gateway, List<Integer> ports) {

        public NodeCard {
            ports = List.copyOf(ports);
        }

        static NodeCard of(NetworkNode node) {
            return new NodeCard(
                    node.name(),
                    node.address().print(),
                    node.mask().print(),
                    node.gateway() == null ? null : node.gateway().print(),
                    node.ports());
        }
    }

    /** @param fixes patches that would mend it, to be tried and kept; empty when it is mended elsewhere */
    public record PatchConflict(
            Conflict.Kind kind, List<String> about, String sentence, String fix, List<Repatched> fixes) {}

    /** One unit's patch as it would be. */
    public record Repatched(String key, String name, String from, String to, Patch value) {}

    /**
     * Patches to look at before they are kept.
     *
     * @param conflicts what would not work then
     * @param problems lines that were not understood
     */
    public record PatchPlan(List<Repatched> changes, List<String> conflicts, List<String> problems) {}
}
