package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Placement;

/** Some lamps may not run upside down; how it is tilted now is looked at by a hint of its own. */
final class BurnLimits implements CautionRule {

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        return Optional.ofNullable(placement.piece().lamp())
                .map(lamp -> lamp.upkeep().burn())
                .filter(burn -> burn != Lamp.Burn.ANY)
                .map(burn -> new Caution(Caution.Kind.HEAT, "Burns only from %s.".formatted(burn.say())));
    }
}
