package org.oblume.core.complete;

import java.util.Optional;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ColourTemperature;

/** What white a light that is on is dialled to, or which hue. */
final class WhiteSaid implements CompletenessRule {

    @Override
    public Optional<Finding> look(RecordedThing thing) {
        return !thing.isLit()
                        || thing.value(ColourTemperature.class).isPresent()
                        || thing.value(Colour.class).isPresent()
                ? Optional.empty()
                : Optional.of(Finding.guess(Gap.WHITE, "What white it is dialled to was not said."));
    }
}
