package org.oblume.server.shot;

import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;

/**
 * A shot as it is recorded.
 *
 * @param shot what is said of it
 * @param scene its scene, whole
 * @param state what holds in it
 */
public record RecordedShot(Shot shot, StoredScene scene, ShotState state) {

    public Slate slate() {
        return shot.card().slate();
    }

    /** The scene for {@code core}. */
    public SceneRecord record() {
        return scene.record();
    }
}
