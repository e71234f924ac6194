package org.oblume.server.shot;

import org.oblume.core.complete.Completeness;

/**
 * How much of a shot a stranger could put back.
 *
 * @param couldBeRebuilt things of which nothing has to be guessed
 * @param things that stand in it
 */
public record RecordCount(int couldBeRebuilt, int things) {

    static RecordCount of(Completeness completeness) {
        return new RecordCount(
                completeness.couldBeRebuilt(), completeness.things().size());
    }
}
