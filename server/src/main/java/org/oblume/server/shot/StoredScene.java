package org.oblume.server.shot;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.Slate;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.scene.Scene;
import org.oblume.server.set.DrawnSet;
import org.oblume.server.set.StageSet;
import org.oblume.server.support.NotFoundException;

/**
 * A scene as it is recorded, with the ids it is stored under.
 *
 * @param knots those that were read: of the whole scene, or of one shot and those it is based on
 */
public record StoredScene(
        Scene scene, DrawnSet drawn, List<PlacedPiece> placed, List<Shot> shots, List<Knot> knots, SceneRecord record) {

    public StageSet set() {
        return drawn.set();
    }

    public Shot shot(Slate slate) {
        return shots.stream()
                .filter(s -> s.card().slate().equals(slate))
                .findFirst()
                .orElseThrow();
    }

    /** Slate of a shot by its id; null for no id. */
    public @Nullable Slate slate(@Nullable Long shotId) {
        return shots.stream()
                .filter(s -> shotId != null && s.id() == shotId)
                .findFirst()
                .map(s -> s.card().slate())
                .orElse(null);
    }

    public long placementId(String key) {
        return placed.stream()
                .filter(p -> p.placement().key().equals(key))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("The scene has no placement “%s”.".formatted(key)))
                .id();
    }
}
