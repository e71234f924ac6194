package org.oblume.core.moves;

import org.oblume.core.plot.Attribute;
import org.oblume.core.units.Phrase;

/** A beam is focused at the head. */
final class BeamMove implements MoveRule {

    @Override
    public void plan(ThingChange change, MoveDraft draft) {
        if (change.isChanged()) {
            change.of(Attribute.BEAM)
                    .ifPresent(beam -> draft.add(
                            change.thing(),
                            Department.of(change.thing()),
                            Job.AIM,
                            Phrase.format("%s: beam %s", change.thing().name(), beam.words())));
        }
    }
}
