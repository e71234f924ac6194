package org.oblume.core.complete;

import java.util.List;
import java.util.Optional;
import org.oblume.core.geometry.Crossing;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.Measured;
import org.oblume.core.geometry.TapeFit;
import org.oblume.core.geometry.Taped;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Place;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/** It was measured where it stands, or somebody who walked the set said that it stands there. */
final class PlaceMeasured implements CompletenessRule {

    private static final double STRAIGHT_DEG = 180;

    @Override
    public Optional<Finding> look(RecordedThing thing) {
        Optional<Place> place = thing.value(Place.class);
        if (place.isEmpty()) {
            return Optional.of(Finding.guess(Gap.PLACE, "It has no place yet."));
        }
        Measured measured = place.get().measured();
        if (measured == null) {
            return thing.isConfirmed(Attribute.PLACE) ? Optional.empty() : Optional.of(notMeasured(thing));
        }
        List<Landmark> drawn = thing.set().landmarks();
        if (!measured.standsIn(drawn)) {
            return Optional.of(Finding.guess(
                    Gap.PLACE,
                    "It was measured from %s, which is drawn elsewhere now: pull its tapes again."
                            .formatted(measured.landmarks().stream()
                                    .filter(l -> drawn.stream().noneMatch(l::isDrawnAs))
                                    .map(Landmark::name)
                                    .findFirst()
                                    .orElse("a landmark"))));
        }
        if (measured.photographed() != null && measured.crossing() == Crossing.POOR) {
            return Optional.of(Finding.guess(
                    Gap.PLACE,
                    "Its photographs leave it uncertain by more than 15 cm: take another from the side, or tape it."));
        }
        return measured.taped() == null ? Optional.empty() : crossing(measured.taped());
    }

    private static Finding notMeasured(RecordedThing thing) {
        return Finding.guess(
                Gap.PLACE,
                thing.isPlanned()
                        ? "Planned, not measured: nobody has said that it stood there."
                        : "How its place was measured is not said.");
    }

    private static Optional<Finding> crossing(Taped taped) {
        TapeFit fit = taped.fit();
        Phrase flat = Phrase.format(
                "Its tapes cross at %d°: 1 cm of tape is %s of floor.",
                Math.round(Math.min(fit.crossingAngleDeg(), STRAIGHT_DEG - fit.crossingAngleDeg())),
                Length.ofMetres(fit.positionErrorM()).small());
        if (fit.crossing() == Crossing.POOR) {
            return Optional.of(Finding.guess(Gap.PLACE, flat));
        }
        return fit.crossing() == Crossing.FAIR && taped.tapes().size() == 2
                ? Optional.of(Finding.better(Gap.PLACE, Phrase.format("%s A third tape would hold it.", flat)))
                : Optional.empty();
    }
}
