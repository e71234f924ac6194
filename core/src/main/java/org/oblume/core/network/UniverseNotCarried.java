package org.oblume.core.network;

/** A universe that something is patched in and no node carries; says nothing while no nodes are known. */
final class UniverseNotCarried implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        if (patch.nodes().isEmpty()) {
            return;
        }
        patch.patchedByUniverse().forEach((universe, units) -> {
            if (patch.nodes().stream().noneMatch(n -> n.carries(universe))) {
                patch.report(
                        Conflict.Kind.NOT_CARRIED,
                        units.stream().map(PatchedUnit::key).toList(),
                        "No node carries universe %d: %s would hear nothing."
                                .formatted(universe, PatchContext.names(units.stream(), PatchedUnit::name, ", ")),
                        "Give universe %d to a port of a node, or patch them elsewhere.".formatted(universe));
            }
        });
    }
}
