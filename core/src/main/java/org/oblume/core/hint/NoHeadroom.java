package org.oblume.core.hint;

import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;

/** A light that dims and stands at full: nothing is left for a cloth or a longer throw. */
final class NoHeadroom implements HintRule {

    private static final double FULL_FROM_PERCENT = 99.5;

    @Override
    public void look(HintContext shot) {
        shot.lights()
                .filter(p -> shot.state().isOn(p.key()) && dims(p) && isFull(shot, p))
                .forEach(p -> shot.report(
                        HintKind.NO_HEADROOM,
                        p,
                        false,
                        Phrase.of("%s is at full".formatted(p.name())),
                        Phrase.of(
                                "Nothing is left for a cloth, a gel or a longer throw. Move it closer, or take a stronger unit."),
                        null));
    }

    private static boolean dims(Placement placement) {
        Lamp lamp = placement.piece().lamp();
        return lamp == null || lamp.lowestPercent() < FULL_FROM_PERCENT;
    }

    private static boolean isFull(HintContext shot, Placement placement) {
        return shot.state()
                .value(placement.key(), Level.class)
                .map(l -> l.percent() >= FULL_FROM_PERCENT)
                .orElse(false);
    }
}
