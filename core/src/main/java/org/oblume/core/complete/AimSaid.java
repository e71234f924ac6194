package org.oblume.core.complete;

import java.util.Optional;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.PlacementKind;

/** Which way it points, at something that has a place. */
final class AimSaid implements CompletenessRule {

    @Override
    public Optional<Finding> look(RecordedThing thing) {
        Optional<AimSetting> aim = thing.value(AimSetting.class);
        if (aim.isEmpty()) {
            return Optional.of(Finding.guess(
                    Gap.AIM,
                    thing.placement().kind() == PlacementKind.MARK
                            ? "Which way it faces was not said."
                            : "Which way it points was not said."));
        }
        String mark = aim.get().mark();
        return mark == null || thing.state().value(mark, Place.class).isPresent()
                ? Optional.empty()
                : Optional.of(Finding.guess(Gap.AIM, "It is aimed at a mark that has no place."));
    }
}
