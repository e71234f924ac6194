package org.oblume.core.plot;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A moment within a shot and what changes then. What it is called is the name of its placement: {@code Hatch shuts}.
 *
 * @param order place among the cues of the shot, 1 to 99
 * @param when the moment in words, 1 to 120 characters: a time, a line, an event
 * @param afterS seconds from that moment until it begins, 0 to 600
 * @param changes what changes, 1 to 60, at most one of a light
 */
public record Cue(int order, String when, double afterS, List<CueStep> changes) implements AttributeValue {

    private static final int LAST = 99;
    private static final int LONGEST = 120;
    private static final double LONGEST_S = 600;
    private static final int MOST = 60;

    /**
     * What one light does, over the network where that reaches it, else by the hand of a person at the head. Of what is null nothing changes.
     *
     * @param placement key of the light
     * @param fadeS seconds that it takes, 0 to 600
     */
    public record CueStep(
            String placement,
            double fadeS,
            @Nullable SetStatus standing,
            @Nullable Level level,
            @Nullable ColourTemperature cct,
            @Nullable Tint tint,
            @Nullable Colour colour,
            @Nullable Effect effect) {

        public CueStep {
            Checks.within("fadeS", "A fade", fadeS, 0, LONGEST_S, " s");
            if (Stream.of(standing, level, cct, tint, colour, effect).allMatch(Objects::isNull)) {
                throw new Refusal("changes", "Say what changes: a level, a white, a hue, an effect, on or off.");
            }
            if (standing != null && standing.state() == SetStatus.State.STRUCK) {
                throw new Refusal("changes", "A light is not struck within a shot: turn it off.");
            }
        }

        /** The values from then on, in the order of their attributes. */
        public List<AttributeValue> values() {
            List<AttributeValue> values = new ArrayList<>();
            Stream.of(standing, level, cct, tint, colour, effect)
                    .filter(Objects::nonNull)
                    .forEach(values::add);
            return values;
        }

        /** {@code off in 2 s}, without the light's name. */
        public String say() {
            String what = values().stream().map(AttributeValue::say).collect(Collectors.joining(", "));
            return fadeS == 0 ? what + " at once" : "%s in %s s".formatted(what, Format.number(fadeS));
        }
    }

    /** The same cue with its lights called otherwise. */
    public Cue named(UnaryOperator<String> name) {
        return new Cue(
                order,
                when,
                afterS,
                changes.stream()
                        .map(c -> new CueStep(
                                name.apply(c.placement),
                                c.fadeS,
                                c.standing,
                                c.level,
                                c.cct,
                                c.tint,
                                c.colour,
                                c.effect))
                        .toList());
    }

    public Cue {
        Checks.within("order", "The place of a cue", order, 1, LAST, "");
        when = Checks.text("The moment", when, LONGEST);
        Checks.within("afterS", "The wait", afterS, 0, LONGEST_S, " s");
        changes = List.copyOf(changes);
        Checks.within("changes", "The number of changes", changes.size(), 1, MOST, "");
        if (changes.stream().map(CueStep::placement).distinct().count() < changes.size()) {
            throw new Refusal("changes", "One light changes twice in this cue: make it one change, or two cues.");
        }
    }

    /** The moment as it is called out: {@code when the hatch shuts, 4 s later}. */
    public String moment() {
        return afterS == 0 ? when : "%s, %s s later".formatted(when, Format.number(afterS));
    }

    @Override
    public boolean namesItself() {
        return true;
    }

    @Override
    public String say() {
        return "%d. %s: %s"
                .formatted(
                        order,
                        moment(),
                        changes.stream()
                                .map(c -> "%s %s".formatted(c.placement(), c.say()))
                                .collect(Collectors.joining("; ")));
    }
}
