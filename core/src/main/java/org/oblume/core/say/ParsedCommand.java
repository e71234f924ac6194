package org.oblume.core.say;

import java.util.List;
import org.oblume.core.carry.Change;
import org.oblume.core.units.Phrase;

/**
 * What was understood of a line, and what was not.
 *
 * @param changes in the order they were said, one for each value
 * @param holds keys of lights that are to keep the mark's stop
 * @param problems words that were not understood; nothing should be kept while there are any
 */
public record ParsedCommand(List<Change> changes, List<String> holds, List<Problem> problems) {

    public ParsedCommand {
        changes = List.copyOf(changes);
        holds = List.copyOf(holds);
        problems = List.copyOf(problems);
    }

    /**
     * @param from place of its first character in the line
     * @param to place after its last
     * @param sentence what is wrong and what to do
     * @param suggestions what could stand there instead, best first
     */
    public record Problem(int from, int to, Phrase sentence, List<String> suggestions) {}
}
