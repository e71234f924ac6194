package org.oblume.core.moves;

import org.oblume.core.plot.Attribute;
import org.oblume.core.units.Phrase;

/** Another unit, or one of another size, takes the place of a thing that stands. */
final class ExchangeMove implements MoveRule {

    @Override
    public void plan(ThingChange change, MoveDraft draft) {
        if (change.isChanged() && change.of(Attribute.UNIT).isPresent()) {
            draft.add(
                    change.thing(),
                    Department.of(change.thing()),
                    Job.BRING,
                    Phrase.of("%s: exchanged for %s"
                            .formatted(
                                    change.thing().name(),
                                    change.thing().piece().called())),
                    1,
                    MoveDraft.people(change.thing()));
        }
    }
}
