package org.oblume.core.say;

import java.util.List;
import java.util.Set;
import org.oblume.core.say.ParsedCommand.Step;
import org.oblume.core.units.Refusal;

/** <em>Undo</em>, <em>scratch that</em>, <em>redo</em>: alone in the line. */
final class HistoryLine implements LineParser {

    private static final Set<String> UNDO = Set.of("undo", "undo that", "undo it", "scratch that", "undo last");
    private static final Set<String> REDO = Set.of("redo", "redo that", "redo it");

    @Override
    public List<Step> read(Line line) {
        String said = line.plain();
        if (UNDO.contains(said)) {
            return List.of(Step.UNDO);
        }
        if (REDO.contains(said)) {
            return List.of(Step.REDO);
        }
        if (line.words().peek().matches("undo|redo")) {
            throw new Refusal("Say %s alone in the line.".formatted(line.words().peek()));
        }
        return List.of();
    }
}
