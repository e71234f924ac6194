package org.oblume.core.moves;

import org.oblume.core.units.Phrase;

/** What no longer stands goes out. */
final class StrikeMove implements MoveRule {

    @Override
    public void plan(ThingChange change, MoveDraft draft) {
        if (change.isStruck() && change.thing().kind().isThing()) {
            String first = change.thing().kind().isLight() ? ": off first, let it cool" : "";
            draft.add(
                    change.thing(),
                    Department.of(change.thing()),
                    Job.STRIKE,
                    Phrase.of("%s out%s".formatted(change.thing().name(), first)),
                    1,
                    MoveDraft.people(change.thing()));
        }
    }
}
