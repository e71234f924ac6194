package org.oblume.core.complete;

import java.util.Optional;
import org.oblume.core.plot.Level;

/** How far a light that is on is turned up. */
final class LevelSaid implements CompletenessRule {

    @Override
    public Optional<Finding> look(RecordedThing thing) {
        return !thing.isLit() || thing.value(Level.class).isPresent()
                ? Optional.empty()
                : Optional.of(Finding.guess(Gap.LEVEL, "Its level was not said."));
    }
}
