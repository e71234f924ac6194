package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Placement;

/** A discharge lamp gives ultraviolet without its lens: one that has to warm up is taken for one (model). */
final class DischargeLamp implements CautionRule {

    private static final Caution CAUTION = new Caution(
            Caution.Kind.ULTRAVIOLET,
            "Discharge lamp: ultraviolet. Never without its lens; hot, let it cool before it is moved.");

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        Lamp lamp = placement.piece().lamp();
        return lamp != null && lamp.upkeep().warmUpS() != null ? Optional.of(CAUTION) : Optional.empty();
    }
}
