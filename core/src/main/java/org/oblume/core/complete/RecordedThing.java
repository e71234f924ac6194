package org.oblume.core.complete;

import java.util.Optional;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Confirmations;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.ShotState;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;

/**
 * A thing that stands in a shot, as the rules see it.
 *
 * @param othersAreFed whether the crew says what feeds what in this shot
 */
record RecordedThing(
        Placement placement,
        ShotState state,
        SetPlan set,
        CarryBook book,
        Confirmations confirmations,
        boolean othersAreFed) {

    <V extends AttributeValue> Optional<V> value(Class<V> type) {
        return state.value(placement.key(), type);
    }

    boolean isConfirmed(Attribute attribute) {
        return confirmations.holds(book, state, placement.key(), attribute);
    }

    /** Whether the shot is still only planned: what is drawn of it stood nowhere yet. */
    boolean isPlanned() {
        return book.node(state.slate()).stage() == ShotStage.PLANNED;
    }

    /** A light that is to shine. */
    boolean isLit() {
        return placement.kind().isLight()
                && value(SetStatus.class)
                        .map(SetStatus::state)
                        .filter(SetStatus.State.ON::equals)
                        .isPresent();
    }
}
