package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.PatchCheck.SacnSource;

/** What one rule finds by itself in a patch, among nodes, among sources of which we are the one called “us”. */
final class Findings {

    private Findings() {}

    static List<Conflict> by(PatchRule rule, PatchedUnit... units) {
        return of(rule, new PatchContext(List.of(units), List.of(), List.of(), null));
    }

    /** With one unit in universe 1. */
    static List<Conflict> ofNodes(PatchRule rule, NetworkNode... nodes) {
        return of(rule, new PatchContext(List.of(Truck.spot("Key", 1, 1)), List.of(nodes), List.of(), null));
    }

    static List<Conflict> ofSources(PatchRule rule, SacnSource... sources) {
        return of(rule, new PatchContext(List.of(), List.of(), List.of(sources), "us"));
    }

    private static List<Conflict> of(PatchRule rule, PatchContext patch) {
        rule.check(patch);
        return patch.found();
    }

    static Conflict only(List<Conflict> found) {
        assertThat(found).hasSize(1);
        assertThat(found.get(0).fix()).isNotBlank();
        return found.get(0);
    }

    static NetworkNode node(String name, String address, String mask, @Nullable String gateway, Integer... ports) {
        return new NetworkNode(
                name,
                Ipv4.parse("address", address),
                Ipv4.parse("mask", mask),
                gateway == null ? null : Ipv4.parse("gateway", gateway),
                List.of(ports));
    }
}
