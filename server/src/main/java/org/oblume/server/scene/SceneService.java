package org.oblume.server.scene;

import java.util.List;
import java.util.stream.IntStream;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.CommitCaches;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

@Service
@Transactional
public class SceneService {

    private final SceneRepository scenes;
    private final PlacementRepository placements;
    private final RecordJson json;
    private final CommitCaches caches;

    SceneService(SceneRepository scenes, PlacementRepository placements, RecordJson json, CommitCaches caches) {
        this.caches = caches;
        this.scenes = scenes;
        this.placements = placements;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public Scene get(long id) {
        return scenes.findById(id)
                .map(SceneEntity::toScene)
                .orElseThrow(() -> new NotFoundException("There is no such scene any more."));
    }

    /**
     * Lets one change of a scene's record pass at a time, until the transaction ends. The rules look at the whole scene (a
     * cycle, a locked shot further on), so two changes may not be judged side by side.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void lockForUpdate(long sceneId) {
        if (scenes.findLocked(sceneId).isEmpty()) {
            throw new NotFoundException("There is no such scene any more.");
        }
        caches.catchUp();
    }

    @Transactional(readOnly = true)
    public List<Scene> ofProduction(long productionId) {
        return scenes.findByProductionIdOrderById(productionId).stream()
                .map(SceneEntity::toScene)
                .toList();
    }

    /** What is placed in a scene, in its own order. */
    @Transactional(readOnly = true)
    public List<PlacedPiece> placed(long sceneId) {
        return placements.findBySceneIdOrderByPlaceInList(sceneId).stream()
                .map(p -> p.toPlacedPiece(json))
                .toList();
    }

    public Scene create(long productionId, long setId, SceneHeading heading, List<Placement> placed) {
        if (scenes.findByProductionIdAndNumber(productionId, heading.number()).isPresent()) {
            throw new Refusal(
                    "number",
                    "The production has a scene %s already: give this one another number.".formatted(heading.number()));
        }
        Scene scene = scenes.save(new SceneEntity(productionId, setId, heading)).toScene();
        placements.saveAll(IntStream.range(0, placed.size())
                .mapToObj(i -> new PlacementEntity(scene.id(), i, placed.get(i), json))
                .toList());
        return scene;
    }

    /** Places one thing more, last in the scene's order. */
    public PlacedPiece place(long sceneId, Placement placement) {
        List<PlacedPiece> already = placed(sceneId);
        refuseTwice(already, placement);
        return placements
                .saveAndFlush(new PlacementEntity(sceneId, already.size(), placement, json))
                .toPlacedPiece(json);
    }

    /**
     * Changes what a placement is called, is there for and goes with.
     *
     * @throws EditConflict when somebody changed it since that version
     */
    public void describe(long sceneId, String key, PlacementCard card, long version) {
        PlacementEntity entity = placements
                .findBySceneIdAndKey(sceneId, key)
                .orElseThrow(() -> new NotFoundException("The scene has no placement “%s”.".formatted(key)));
        Placement before = entity.toPlacedPiece(json).placement();
        if (entity.version() != version) {
            throw new EditConflict(
                    "Someone changed %s since you opened it. Nothing of yours was kept yet.".formatted(before.name()),
                    before);
        }
        Placement known = card.piece() == null ? before : before.withKindSaid(card.piece());
        Placement placement = new Placement(
                key,
                card.name(),
                before.kind(),
                card.role(),
                card.motivation(),
                known.piece(),
                card.group(),
                card.locked());
        refuseTwice(
                placed(sceneId).stream()
                        .filter(p -> !p.placement().key().equals(key))
                        .toList(),
                placement);
        entity.describe(placement, json);
        placements.saveAndFlush(entity);
    }

    private static void refuseTwice(List<PlacedPiece> already, Placement placement) {
        for (PlacedPiece other : already) {
            if (other.placement().name().equalsIgnoreCase(placement.name())
                    || other.placement().key().equals(placement.key())) {
                throw new Refusal(
                        "name",
                        "The scene has a placement called %s already: give this one another name."
                                .formatted(other.placement().name()));
            }
        }
    }

    /** The scenes that are lit in a set. */
    @Transactional(readOnly = true)
    public List<Scene> inSet(long setId) {
        return scenes.findBySetIdOrderById(setId).stream()
                .map(SceneEntity::toScene)
                .toList();
    }
}
