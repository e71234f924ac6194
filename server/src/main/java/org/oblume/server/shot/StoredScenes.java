package org.oblume.server.shot;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.Slate;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.set.DrawnSet;
import org.oblume.server.set.SetService;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads a scene's record for {@code core}: a handful of queries however large the scene is. */
@Service
@Transactional(readOnly = true)
public class StoredScenes {

    private final SceneService scenes;
    private final SetService sets;
    private final ShotRepository shots;
    private final KnotRepository knots;
    private final KnotEventRepository events;
    private final RecordJson json;

    StoredScenes(
            SceneService scenes,
            SetService sets,
            ShotRepository shots,
            KnotRepository knots,
            KnotEventRepository events,
            RecordJson json) {
        this.events = events;
        this.scenes = scenes;
        this.sets = sets;
        this.shots = shots;
        this.knots = knots;
        this.json = json;
    }

    /** The whole scene. */
    public StoredScene of(long sceneId) {
        List<Shot> all = shotsOf(sceneId);
        return read(sceneId, all, all);
    }

    /** The scene with only those knots that one shot rests on. */
    public StoredScene withAncestors(Shot shot) {
        List<Shot> all = shotsOf(shot.sceneId());
        Map<Long, Shot> byId = all.stream().collect(Collectors.toMap(Shot::id, s -> s));
        List<Shot> chain = new ArrayList<>();
        for (Shot at = byId.get(shot.id()); at != null; at = byId.get(at.card().basedOnId())) {
            chain.add(at);
        }
        return read(shot.sceneId(), all, chain);
    }

    /** The scene with what one shot rested on up to an event, as a revision was closed with it. */
    public StoredScene asOf(Shot shot, long lastEvent) {
        StoredScene now = withAncestors(shot);
        List<Long> chain = now.record().book().chain(shot.card().slate()).stream()
                .map(slate -> now.shot(slate).id())
                .toList();
        Map<Long, Map<StoredKey, KnotEventEntity>> newest = new LinkedHashMap<>();
        events.findByShotIdInAndIdLessThanEqualOrderById(chain, lastEvent)
                .forEach(e -> newest.computeIfAbsent(e.shotId(), shotId -> new LinkedHashMap<>())
                        .put(e.key(), e));
        Map<Long, String> keys = now.placed().stream()
                .collect(Collectors.toMap(PlacedPiece::id, p -> p.placement().key()));
        List<Knot> tied = newest.values().stream()
                .flatMap(ofAShot -> ofAShot.values().stream())
                .filter(e -> e.value() != null)
                .map(e -> new Knot(
                        Objects.requireNonNull(now.slate(e.shotId())),
                        Objects.requireNonNull(keys.get(e.placementId())),
                        json.read(
                                Objects.requireNonNull(e.value()), e.attribute().type()),
                        e.attribution()))
                .toList();
        CarryBook book = now.record().book();
        return new StoredScene(
                now.scene(),
                now.drawn(),
                now.placed(),
                now.shots(),
                tied,
                now.record()
                        .with(CarryBook.of(
                                book.slates().stream().map(book::node).toList(), tied)));
    }

    private List<Shot> shotsOf(long sceneId) {
        return shots.findBySceneIdOrderByPlaceInList(sceneId).stream()
                .map(ShotEntity::toShot)
                .toList();
    }

    private StoredScene read(long sceneId, List<Shot> all, List<Shot> withKnots) {
        Scene scene = scenes.get(sceneId);
        DrawnSet set = sets.get(scene.setId());
        List<PlacedPiece> placed = scenes.placed(sceneId);
        Map<Long, Slate> slates = new HashMap<>();
        all.forEach(s -> slates.put(s.id(), s.card().slate()));
        Map<Long, String> keys = placed.stream()
                .collect(Collectors.toMap(PlacedPiece::id, p -> p.placement().key()));
        List<Knot> tied = new ArrayList<>();
        for (KnotEntity row :
                knots.findByShotIdInOrderById(withKnots.stream().map(Shot::id).toList())) {
            if (row.value() != null) {
                tied.add(new Knot(
                        Objects.requireNonNull(slates.get(row.shotId())),
                        Objects.requireNonNull(keys.get(row.placementId())),
                        json.read(row.value(), row.attribute().type()),
                        row.attribution()));
            }
        }
        List<ShotNode> lines = all.stream()
                .map(s -> new ShotNode(
                        s.card().slate(),
                        slates.get(s.card().basedOnId()),
                        s.card().stage()))
                .toList();
        SceneRecord record = SceneRecord.of(
                set.set().plan(), placed.stream().map(PlacedPiece::placement).toList(), CarryBook.of(lines, tied));
        return new StoredScene(scene, set, placed, all, tied, record);
    }
}
