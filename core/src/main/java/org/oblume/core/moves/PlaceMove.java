package org.oblume.core.moves;

import java.util.Set;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Condition;
import org.oblume.core.plot.Cue;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;

/** What is seen to about the place, and the cues that the board takes over. */
final class PlaceMove implements MoveRule {

    private static final Set<Attribute> SAID = Set.of(Attribute.CONDITION, Attribute.CUE);

    @Override
    public void plan(ThingChange change, MoveDraft draft) {
        Placement thing = change.thing();
        if (thing.kind().isThing()) {
            return;
        }
        Job job = thing.kind().records(Attribute.CUE) ? Job.CUE : Job.CONDITION;
        if (change.isStruck()) {
            draft.add(thing, Department.of(thing), job, Phrase.of(thing.name() + ": no longer"));
        } else if (change.isBrought() || change.changesAny(SAID)) {
            change.value(Condition.class)
                    .map(c -> Phrase.of(c.say()))
                    .or(() -> change.value(Cue.class)
                            .map(cue -> ChangePhrases.say(draft.to().scene(), cue)))
                    .ifPresent(said ->
                            draft.add(thing, Department.of(thing), job, Phrase.format("%s: %s", thing.name(), said)));
        }
    }
}
