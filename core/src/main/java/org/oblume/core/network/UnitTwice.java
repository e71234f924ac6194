package org.oblume.core.network;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** One unit that is two things of a shot at once. */
final class UnitTwice implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        Map<String, PatchedUnit> seen = new LinkedHashMap<>();
        for (PatchedUnit unit : patch.units()) {
            PatchedUnit first = unit.hasUnit() ? seen.putIfAbsent(unit.unit(), unit) : null;
            if (first != null) {
                patch.report(
                        Conflict.Kind.SAME_UNIT_TWICE,
                        List.of(first.key(), unit.key()),
                        "%s is %s and %s at once: there is one unit of that name."
                                .formatted(unit.unit(), first.name(), unit.name()),
                        "Give one of them another unit, or strike it in this shot.");
            }
        }
    }
}
