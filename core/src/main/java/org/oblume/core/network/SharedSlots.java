package org.oblume.core.network;

import java.util.List;
import java.util.Objects;

/** Two units that listen to the same slots of a universe. */
final class SharedSlots implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        List<PatchedUnit> patched = patch.patched();
        for (int i = 0; i < patched.size(); i++) {
            for (PatchedUnit other : patched.subList(i + 1, patched.size())) {
                PatchedUnit one = patched.get(i);
                if (overlap(one, other)) {
                    patch.report(
                            Conflict.Kind.OVERLAP,
                            List.of(one.key(), other.key()),
                            "%s (%s) and %s (%s) share slots of universe %d."
                                    .formatted(
                                            one.name(),
                                            footprint(one),
                                            other.name(),
                                            footprint(other),
                                            one.patch().universe()),
                            "Give %s the next free address.".formatted(other.name()),
                            patch.moved(other));
                }
            }
        }
    }

    private static boolean overlap(PatchedUnit one, PatchedUnit other) {
        return Objects.equals(one.patch().universe(), other.patch().universe())
                && one.address() <= other.lastSlot()
                && other.address() <= one.lastSlot();
    }

    private static String footprint(PatchedUnit unit) {
        return unit.address() == unit.lastSlot()
                ? String.valueOf(unit.address())
                : unit.address() + " to " + unit.lastSlot();
    }
}
