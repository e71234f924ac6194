package org.oblume.core.network;

import java.util.List;

/** A unit that is on the network and has no address. */
final class NoAddress implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        for (PatchedUnit unit : patch.units()) {
            if (unit.patch().reachedBy().isNetwork() && !unit.isPatched()) {
                patch.report(
                        Conflict.Kind.NO_ADDRESS,
                        List.of(unit.key()),
                        "%s is %s and has no address."
                                .formatted(unit.name(), unit.patch().reachedBy().label()),
                        "Give it the next free address.",
                        patch.moved(unit));
            }
        }
    }
}
