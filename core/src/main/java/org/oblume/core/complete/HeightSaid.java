package org.oblume.core.complete;

import java.util.Optional;
import org.oblume.core.plot.Height;

/** How high it is. */
final class HeightSaid implements CompletenessRule {

    @Override
    public Optional<Finding> look(RecordedThing thing) {
        return thing.value(Height.class).isPresent()
                ? Optional.empty()
                : Optional.of(Finding.guess(Gap.HEIGHT, "How high it is was not said."));
    }
}
