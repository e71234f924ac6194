package org.oblume.core.complete;

import java.util.Optional;
import org.oblume.core.plot.Piece;

/** Which kind of unit or thing it is. */
final class KindSaid implements CompletenessRule {

    @Override
    public Optional<Finding> look(RecordedThing thing) {
        return thing.placement().piece().what().equals(Piece.KIND_NOT_SAID)
                ? Optional.of(Finding.guess(Gap.KIND, "Which kind of unit it is was not said."))
                : Optional.empty();
    }
}
