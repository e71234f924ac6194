package org.oblume.server.say;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.say.ParsedCommand;
import org.oblume.core.say.ParsedCommand.Ask;
import org.oblume.core.say.ParsedCommand.SaidLock;
import org.oblume.core.say.ParsedCommand.SaidNote;
import org.oblume.core.say.ParsedCommand.SaidStage;
import org.oblume.core.say.ParsedCommand.SaidTake;
import org.oblume.core.say.ParsedCommand.SaidThing;
import org.oblume.core.say.ParsedCommand.Step;
import org.oblume.server.kit.KitService;
import org.oblume.server.light.ParsedChange;
import org.oblume.server.support.CrewUnits;

/**
 * What was understood of a line; what there is none of may be left out. With a problem or something asked there is nothing else.
 *
 * @param measured places among the changes as they were measured, with how: to be kept in the place of those
 * @param problems what was not understood, or cannot be
 * @param asks what could be more than one thing
 */
record ParsedLine(
        List<ParsedChange> changes,
        List<ParsedChange> measured,
        List<String> holds,
        List<LineProblem> problems,
        List<Ask> asks,
        List<SaidNote> notes,
        List<SaidTake> takes,
        List<ParsedThing> places,
        List<SaidStage> stages,
        List<SaidLock> locks,
        @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Step step) {

    /**
     * A part of a line that was not understood.
     *
     * @param from index of its first sign
     * @param to index behind its last
     * @param suggestions what may have been meant
     */
    record LineProblem(int from, int to, String sentence, List<String> suggestions) {}

    /**
     * Something to be placed, by the kit's name of its kind.
     *
     * @param measured its place as it was measured, to be kept in the place of the one among the values; or null
     */
    record ParsedThing(
            String name,
            PlacementKind kind,
            String what,
            Role role,
            List<ParsedValue> values,
            @Nullable AttributeValue measured) {}

    /** A value of something that is to be placed. */
    record ParsedValue(Attribute attribute, AttributeValue value) {}

    static ParsedLine of(ParsedCommand said, CrewUnits units) {
        return new ParsedLine(
                ParsedChange.of(said.changes().stream()
                        .map(c -> new Change(c.placement(), KitService.byName(c.value())))
                        .toList()),
                ParsedChange.of(said.measured()),
                said.holds(),
                said.problems().stream()
                        .map(p -> new LineProblem(p.from(), p.to(), units.print(p.sentence()), p.suggestions()))
                        .toList(),
                said.asks(),
                said.others(SaidNote.class),
                said.others(SaidTake.class),
                said.others(SaidThing.class).stream()
                        .map(t -> new ParsedThing(
                                t.name(),
                                t.kind(),
                                t.what(),
                                t.role(),
                                t.values().stream()
                                        .map(v -> new ParsedValue(Attribute.of(v), KitService.byName(v)))
                                        .toList(),
                                t.measured()))
                        .toList(),
                said.others(SaidStage.class),
                said.others(SaidLock.class),
                said.others(Step.class).stream().findFirst().orElse(null));
    }
}
