package org.oblume.core.network;

import java.util.List;

/** A unit that is recorded with another number of slots than its mode has. */
final class WrongFootprint implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        for (PatchedUnit unit : patch.patched()) {
            Integer recorded = unit.patch().slots();
            unit.mode()
                    .filter(mode -> recorded != null && recorded != mode.slots())
                    .ifPresent(mode -> patch.report(
                            Conflict.Kind.FOOTPRINT,
                            List.of(unit.key()),
                            "%s is recorded with %d slots; %s has %d."
                                    .formatted(unit.name(), recorded, mode.name(), mode.slots()),
                            "Record it with %d slots.".formatted(mode.slots()),
                            patch.fitted(unit, mode)));
        }
    }
}
