package org.oblume.core.complete;

import java.util.Optional;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Patch;

/** Where a networked light listens, and in which mode. */
final class ControlSaid implements CompletenessRule {

    @Override
    public Optional<Finding> look(RecordedThing thing) {
        Optional<Patch> patch = thing.value(Patch.class).filter(ControlSaid::isNetworked);
        if (!thing.placement().kind().isLight() || patch.isEmpty()) {
            return Optional.empty();
        }
        if (patch.get().address() == null) {
            return Optional.of(Finding.guess(Gap.CONTROL, "It is on the network, its address was not said."));
        }
        return patch.get().mode() == null
                ? Optional.of(Finding.guess(
                        Gap.CONTROL, "Its mode was not said: at the same address it would do other things."))
                : Optional.empty();
    }

    private static boolean isNetworked(Patch patch) {
        ControlPath path = patch.path();
        return patch.universe() != null || (path != null && path.isNetwork());
    }
}
