package org.oblume.core.moves;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.caution.Caution;
import org.oblume.core.units.Phrase;

/**
 * One thing to do.
 *
 * @param placement key of what it is done to, on the side where it stands, or null for all of it
 * @param words what to do
 * @param minutes it takes (estimate)
 * @param people it takes, 1 or more
 * @param cautions what to mind
 * @param after keys of those to be done before
 * @param startMin when it can begin, minutes from the start of the change
 */
public record Move(
        Department department,
        Job job,
        @Nullable String placement,
        Phrase words,
        double minutes,
        int people,
        List<Caution> cautions,
        List<MoveKey> after,
        double startMin) {

    public Move {
        cautions = List.copyOf(cautions);
        after = List.copyOf(after);
    }

    /** What names it in its list. */
    public MoveKey key() {
        return new MoveKey(placement, job);
    }

    public double endMin() {
        return startMin + minutes;
    }

    /** The same move, waiting for others. */
    Move after(List<MoveKey> others, List<Caution> allCautions) {
        return new Move(department, job, placement, words, minutes, people, allCautions, others, startMin);
    }

    Move startingAt(double min) {
        return new Move(department, job, placement, words, minutes, people, cautions, after, min);
    }
}
