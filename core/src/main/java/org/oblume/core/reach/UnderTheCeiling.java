package org.oblume.core.reach;

import java.util.Optional;
import org.oblume.core.plot.Height;
import org.oblume.core.units.Phrase;

/** What is in a room is under its ceiling. */
final class UnderTheCeiling implements ReachRule {

    @Override
    public Optional<Phrase> refuses(Wanted wanted) {
        Double ceiling = wanted.set().ceilingHeightM();
        return ceiling == null || !wanted.isInARoom()
                ? Optional.empty()
                : wanted.as(Height.class)
                        .filter(h -> h.heightM() > ceiling)
                        .map(h -> Phrase.format(
                                wanted.placement().name()
                                        + " at %s would be above the ceiling: %s is the highest here.",
                                h.phrase(),
                                Phrase.metres(ceiling)));
    }
}
