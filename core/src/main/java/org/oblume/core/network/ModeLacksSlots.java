package org.oblume.core.network;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A unit of which something is recorded that its mode has no slot for. */
final class ModeLacksSlots implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        for (PatchedUnit unit : patch.patched()) {
            unit.mode().filter(Mode::isKnown).ifPresent(mode -> check(patch, unit, mode));
        }
    }

    private static void check(PatchContext patch, PatchedUnit unit, Mode mode) {
        List<Parameter> lost = unit.values().unsupportedBy(mode, unit.placement());
        if (lost.isEmpty()) {
            return;
        }
        String what = lost.stream().map(ModeLacksSlots::recorded).distinct().collect(Collectors.joining(" and "));
        @Nullable
        Mode better = unit.modes().stream()
                .filter(m -> m.isKnown()
                        && unit.values().unsupportedBy(m, unit.placement()).isEmpty())
                .findFirst()
                .orElse(null);
        patch.report(
                Conflict.Kind.MODE_LACKS,
                List.of(unit.key()),
                "%s has %s recorded; its mode %s has no slot for it.".formatted(unit.name(), what, mode.name()),
                better == null
                        ? "Set it at the head, and note it."
                        : "Change it to %s, at the next address with room for its %d slots."
                                .formatted(better.name(), better.slots()),
                better == null ? Map.of() : patch.fitted(unit, better));
    }

    private static String recorded(Parameter parameter) {
        return switch (parameter) {
            case CCT -> "a colour temperature";
            case HUE -> "a colour";
            case RATE -> "a rate";
            case EFFECT -> "an effect";
            default -> "a " + parameter.label();
        };
    }
}
