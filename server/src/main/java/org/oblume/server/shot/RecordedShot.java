package org.oblume.server.shot;

import java.util.List;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Placement;

/**
 * A shot as it is recorded.
 *
 * @param shot what is said of it
 * @param scene its scene, whole
 * @param record the scene for {@code core}, with what stands in this shot
 * @param state what holds in it
 */
public record RecordedShot(Shot shot, StoredScene scene, SceneRecord record, ShotState state) {

    public RecordedShot(Shot shot, StoredScene scene, ShotState state) {
        this(shot, scene, scene.record().in(state), state);
    }

    public Slate slate() {
        return shot.card().slate();
    }

    /** The marks on set, in the scene's order. */
    public List<Placement> marks() {
        return state.marks(record.placements());
    }
}
