package org.oblume.core.moves;

/** One rule: what is done about one side of a change. It keeps nothing between things. */
@FunctionalInterface
interface MoveRule {

    /** Adds what is to be done about a thing to the draft. */
    void plan(ThingChange change, MoveDraft draft);
}
