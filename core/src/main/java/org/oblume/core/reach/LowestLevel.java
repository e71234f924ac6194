package org.oblume.core.reach;

import java.util.Optional;
import org.oblume.core.plot.Level;
import org.oblume.core.units.Phrase;

/** A light that cannot be dimmed so far flickers or goes out. */
final class LowestLevel implements ReachRule {

    @Override
    public Optional<Phrase> refuses(Wanted wanted) {
        return wanted.as(Level.class).flatMap(level -> wanted.lamp()
                .map(lamp -> lamp.lowestPercent())
                .filter(lowest -> level.percent() > 0 && level.percent() < lowest)
                .map(lowest -> Phrase.of("%s holds its light from %s up, so that %s cannot be: record %s, or 0."
                        .formatted(
                                wanted.placement().name(),
                                new Level(lowest).say(),
                                level.say(),
                                new Level(lowest).say()))));
    }
}
