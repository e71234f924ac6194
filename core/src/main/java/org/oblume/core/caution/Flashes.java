package org.oblume.core.caution;

import java.util.Optional;
import java.util.stream.Stream;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Cue;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Placement;

/** What flashes, by itself or at a cue, 3 to 30 times a second. */
final class Flashes implements CautionRule {

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        Stream<Effect> atCue = state.value(placement.key(), Cue.class).stream()
                .flatMap(cue -> cue.changes().stream())
                .flatMap(step -> Stream.ofNullable(step.effect()));
        return Stream.concat(state.value(placement.key(), Effect.class).stream(), atCue)
                .flatMap(effect -> Stream.ofNullable(effect.caution()))
                .findFirst()
                .map(sentence -> new Caution(Caution.Kind.FLASH, sentence));
    }
}
