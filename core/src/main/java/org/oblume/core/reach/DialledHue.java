package org.oblume.core.reach;

import java.util.List;
import java.util.Optional;
import org.oblume.core.network.Mode;
import org.oblume.core.network.Parameter;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.Effect;
import org.oblume.core.units.Phrase;

/** A hue on a light whose modes are known and have none. */
final class DialledHue implements ReachRule {

    @Override
    public Optional<Phrase> refuses(Wanted wanted) {
        boolean isAsked = wanted.as(Colour.class).filter(c -> !c.plain()).isPresent()
                || wanted.as(Effect.class).flatMap(Effect::colours).isPresent();
        return isAsked && hasNone(Mode.of(wanted.placement().piece()))
                ? Optional.of(Phrase.of("%s has no hue to dial: record white, and hang a colour before it."
                        .formatted(wanted.placement().name())))
                : Optional.empty();
    }

    private static boolean hasNone(List<Mode> modes) {
        return !modes.isEmpty()
                && modes.stream()
                        .allMatch(mode -> mode.isKnown()
                                && mode.channels().stream()
                                        .map(Mode.Channel::parameter)
                                        .noneMatch(p -> p == Parameter.HUE || p == Parameter.RED));
    }
}
