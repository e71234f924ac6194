package org.oblume.core.complete;

import java.util.Optional;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Rig;
import org.oblume.core.units.Phrase;

/** What something overhead hangs from; a practical of the place hangs there already. */
final class RigSaid implements CompletenessRule {

    @Override
    public Optional<Finding> look(RecordedThing thing) {
        return thing.placement().piece().mount() == Mount.OVERHEAD
                        && thing.placement().kind() != PlacementKind.PRACTICAL
                        && thing.value(Rig.class).isEmpty()
                ? Optional.of(Finding.better(
                        Gap.RIG, Phrase.of("What it hangs from was not said, nor its points and its bond.")))
                : Optional.empty();
    }
}
