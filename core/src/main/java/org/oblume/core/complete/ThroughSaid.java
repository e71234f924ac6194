package org.oblume.core.complete;

import java.util.Optional;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Modifiers;

/** What light goes through there: nothing has to be said too. */
final class ThroughSaid implements CompletenessRule {

    @Override
    public Optional<Finding> look(RecordedThing thing) {
        boolean said = !thing.placement().kind().records(Attribute.MODIFIERS)
                || thing.value(Modifiers.class)
                        .filter(m ->
                                thing.placement().kind().isLight() || !m.items().isEmpty())
                        .isPresent();
        return said
                ? Optional.empty()
                : Optional.of(Finding.guess(
                        Gap.THROUGH,
                        thing.placement().kind().isLight()
                                ? "What it shines through was not said, nor that it is bare."
                                : "Which cloth or pattern it is was not said."));
    }
}
