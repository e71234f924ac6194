package org.oblume.core.reach;

import java.util.Optional;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Phrase;

/** A tint that a lamp cannot be dialled to. */
final class DialledTint implements ReachRule {

    @Override
    public Optional<Phrase> refuses(Wanted wanted) {
        return wanted.as(Tint.class).flatMap(tint -> wanted.lamp()
                .map(lamp -> lamp.tintReach())
                .filter(reach -> Math.abs(tint.duv()) > reach)
                .map(reach -> Phrase.of(
                        reach == 0
                                ? "%s has no tint to dial: record 0, and hang plus or minus green before it."
                                        .formatted(wanted.placement().name())
                                : "%s is dialled to %s either way, so that %s cannot be: record %s, and hang the rest before it."
                                        .formatted(
                                                wanted.placement().name(),
                                                new Tint(reach).say(),
                                                tint.say(),
                                                new Tint(Math.copySign(reach, tint.duv())).say()))));
    }
}
