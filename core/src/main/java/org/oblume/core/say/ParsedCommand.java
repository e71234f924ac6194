package org.oblume.core.say;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Phrase;

/**
 * What was understood of a line, and what was not. With a problem or an ask everything else is empty: a line that is not wholly
 * understood changes nothing.
 *
 * @param changes one for each value, the last one said
 * @param measured places among the changes as they were measured, to the millimetre, with how
 * @param holds keys of lights that are to keep the mark's stop
 * @param problems words that were not understood, or that say what cannot be
 * @param asks words that could be more than one thing
 * @param others what is said that is no value of what stands: notes, takes, new things, stages, locks, a step in the history
 */
public record ParsedCommand(
        List<Change> changes,
        List<Change> measured,
        List<String> holds,
        List<Problem> problems,
        List<Ask> asks,
        List<Other> others) {

    static final ParsedCommand NOTHING = of(List.of());

    public ParsedCommand {
        changes = List.copyOf(changes);
        measured = List.copyOf(measured);
        holds = List.copyOf(holds);
        problems = List.copyOf(problems);
        asks = List.copyOf(asks);
        others = List.copyOf(others);
    }

    static ParsedCommand of(List<? extends Other> others) {
        return new ParsedCommand(List.of(), List.of(), List.of(), List.of(), List.of(), List.copyOf(others));
    }

    /** Those of one kind. */
    public <T extends Other> List<T> others(Class<T> kind) {
        return others.stream().filter(kind::isInstance).map(kind::cast).toList();
    }

    /** Whether it changes or holds something of one thing, and does nothing else. */
    public boolean isOnlyOf(String placement) {
        boolean something = !changes.isEmpty() || !holds.isEmpty();
        return something
                && changes.stream().allMatch(c -> c.placement().equals(placement))
                && holds.stream().allMatch(placement::equals);
    }

    /**
     * @param from place of its first character in the line
     * @param to place after its last
     * @param sentence what is wrong and what to do
     * @param suggestions what could stand there instead, best first
     */
    public record Problem(int from, int to, Phrase sentence, List<String> suggestions) {}

    /**
     * Words that could be more than one thing, to be chosen from.
     *
     * @param from place of its first character in the line
     * @param to place after its last
     * @param words as said
     * @param candidates keys of placements, names of stock items or kinds, {@code by} or {@code to}, a part of a front, or a place {@code x.xx,y.yy}
     * @param lines the whole line as it would read with each of them
     */
    public record Ask(int from, int to, String words, String sentence, List<String> candidates, List<String> lines) {

        public Ask {
            candidates = List.copyOf(candidates);
            lines = List.copyOf(lines);
        }
    }

    /** What a line says that is no value of what stands. */
    public sealed interface Other permits SaidNote, SaidTake, SaidThing, SaidStage, SaidLock, Step {}

    /** @param placement key of what it is of, or null for the shot */
    public record SaidNote(@Nullable String placement, String text) implements Other {}

    /** @param note of the take, or null */
    public record SaidTake(int number, boolean circled, @Nullable String note) implements Other {}

    /**
     * Something to be placed.
     *
     * @param name what the crew calls it
     * @param what the kit's name of its kind
     * @param role what it is there for, as far as its kind or its name tells
     * @param values what is said of it
     * @param measured its place as it was measured, or null
     */
    public record SaidThing(
            String name,
            PlacementKind kind,
            String what,
            Role role,
            List<AttributeValue> values,
            @Nullable AttributeValue measured)
            implements Other {

        public SaidThing {
            values = List.copyOf(values);
        }
    }

    /** @param slate of the shot */
    public record SaidStage(String slate, ShotStage stage) implements Other {}

    /** Whether a placement is locked where it stands. */
    public record SaidLock(String placement, boolean locked) implements Other {}

    /** A step in the history. */
    public enum Step implements Other {
        UNDO,
        REDO
    }
}
