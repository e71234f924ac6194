package org.oblume.core.network;

import java.util.List;
import java.util.Map;
import org.oblume.core.plot.Patch;

/** A unit that is patched in no mode, or in one that its kind does not have. */
final class UnknownMode implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        for (PatchedUnit unit : patch.patched()) {
            if (unit.mode().isEmpty() && !unit.modes().isEmpty()) {
                Map<String, Patch> proposal =
                        unit.usualMode().map(usual -> patch.fitted(unit, usual)).orElse(Map.of());
                patch.report(
                        Conflict.Kind.UNKNOWN_MODE,
                        List.of(unit.key()),
                        unit.patch().mode() == null
                                ? "%s has no mode recorded: what its slots are is not known.".formatted(unit.name())
                                : "%s is in mode “%s”, which %s does not have."
                                        .formatted(
                                                unit.name(),
                                                unit.patch().mode(),
                                                unit.placement().piece().what()),
                        "Choose one of its modes: %s."
                                .formatted(PatchContext.names(unit.modes().stream(), Mode::name, ", ")),
                        proposal);
            }
        }
    }
}
