package org.oblume.core.reach;

import java.util.Optional;
import org.oblume.core.plot.Place;
import org.oblume.core.units.Phrase;

/** What stands in a room is not outside its walls. */
final class OutsideTheRoom implements ReachRule {

    @Override
    public Optional<Phrase> refuses(Wanted wanted) {
        return wanted.as(Place.class)
                .filter(place -> place.outside() && wanted.isInARoom())
                .map(place -> Phrase.of(
                        "%s stands inside the walls there: take the mark off that it is outside, or move it beyond the wall."
                                .formatted(wanted.placement().name())));
    }
}
