package org.oblume.server.inventory;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.server.inventory.InventoryViews.NamedUnit;
import org.oblume.server.inventory.InventoryViews.UnitUse;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.springframework.stereotype.Component;

/** Which shots of a production name which units. */
@Component
class UnitUses {

    private final SceneService scenes;
    private final StoredScenes records;

    UnitUses(SceneService scenes, StoredScenes records) {
        this.scenes = scenes;
        this.records = records;
    }

    /** What one unit is used as. */
    record Named(UnitUse use, Piece piece) {}

    /** By the unit's name, whatever its capitals; in the order of the scenes and shots. */
    Map<String, List<Named>> of(long productionId) {
        Map<String, List<Named>> all = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        for (Scene scene : scenes.ofProduction(productionId)) {
            StoredScene stored = records.of(scene.id());
            for (Shot shot : stored.shots()) {
                RecordedShot recorded = stored.recorded(shot.id());
                for (Placement placement : recorded.record().placements()) {
                    String unit = placement.piece().unit();
                    if (unit != null && recorded.state().isOnSet(placement.key())) {
                        all.computeIfAbsent(unit, u -> new ArrayList<>())
                                .add(new Named(
                                        new UnitUse(
                                                shot.id(),
                                                scene.id(),
                                                shot.card().slate(),
                                                placement.key(),
                                                placement.name(),
                                                shot.card().day(),
                                                shot.card().stage()),
                                        placement.piece()));
                    }
                }
            }
        }
        return all;
    }

    static NamedUnit named(String name, List<Named> uses) {
        return new NamedUnit(
                name,
                uses.get(0).piece().what(),
                slates(uses.stream().map(Named::use).toList()));
    }

    static List<String> slates(List<UnitUse> uses) {
        return uses.stream().map(u -> u.slate().toString()).distinct().toList();
    }
}
