package org.oblume.core.network;

import java.util.List;
import org.oblume.core.plot.Patch;

/** A unit whose slots would go on past the last one of its universe. */
final class PastTheLastSlot implements PatchRule {

    @Override
    public void check(PatchContext patch) {
        for (PatchedUnit unit : patch.patched()) {
            if (unit.lastSlot() > Patch.LAST_ADDRESS) {
                patch.report(
                        Conflict.Kind.PAST_512,
                        List.of(unit.key()),
                        "%s takes %d slots from %d: it would end at %d, past 512."
                                .formatted(unit.name(), unit.slots(), unit.address(), unit.lastSlot()),
                        "Start it at %d or lower, or in another universe."
                                .formatted(Patch.LAST_ADDRESS - unit.slots() + 1),
                        patch.moved(unit));
            }
        }
    }
}
