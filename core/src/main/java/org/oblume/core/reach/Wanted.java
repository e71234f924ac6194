package org.oblume.core.reach;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.geometry.Walls;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetPlan;

/**
 * A value that somebody wants to record.
 *
 * @param placement of what, with what stands there
 * @param value wanted
 * @param set where it is
 * @param state what holds in the shot
 */
record Wanted(Placement placement, AttributeValue value, SetPlan set, RecordedState state) {

    <V extends AttributeValue> Optional<V> as(Class<V> type) {
        return type.isInstance(value) ? Optional.of(type.cast(value)) : Optional.empty();
    }

    Optional<Lamp> lamp() {
        return Optional.ofNullable(placement.piece().lamp());
    }

    /** Whether it stands, or would stand, in a room of the set. */
    boolean isInARoom() {
        Walls walls = set.tapeWalls();
        return walls.haveARoom()
                && as(Place.class)
                        .or(() -> state.value(placement.key(), Place.class))
                        .filter(p -> walls.encloses(p.point()))
                        .isPresent();
    }
}
