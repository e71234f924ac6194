package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;

/** Gel or cloth at the front of a hot lamp. */
final class HotFront implements CautionRule {

    private static final Caution CAUTION = new Caution(Caution.Kind.HEAT, "Keep gel and cloth off the hot front.");

    @Override
    public Optional<Caution> of(Placement placement, RecordedState state) {
        return state.value(placement.key(), Modifiers.class)
                .filter(m -> HotLamp.isHot(placement.piece()) && !m.items().isEmpty())
                .map(m -> CAUTION);
    }
}
