package org.oblume.server.shot;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Confirmation;
import org.oblume.core.carry.Confirmations;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.Slate;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.set.DrawnSet;
import org.oblume.server.set.SetService;
import org.oblume.server.support.CommitCaches;
import org.oblume.server.support.CommitCaches.CommitCache;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.oblume.server.support.RecordSource.Part;
import org.oblume.server.support.RecordSource.Source;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads a scene's record for {@code core}: a handful of queries however large it is, and none while nothing of it changes. */
@Service
@Transactional(readOnly = true)
public class StoredScenes {

    /** Scenes that a crew works on at the same time, and more. */
    private static final int LEAST_KEPT = 40;

    /** What a scene of a feature takes: 1.04 MB were measured of what its shots show, its record is on top. */
    private static final long SCENE_BYTES = 2L << 20;

    private static final int SHARE_OF_MEMORY = 8;

    private static final int MOST_SHOTS = 10_000;

    private final SceneService scenes;
    private final SetService sets;
    private final ShotRepository shots;
    private final KnotRepository knots;
    private final KnotEventRepository events;
    private final ConfirmationRepository confirmations;
    private final RecordJson json;
    private final CommitCaches caches;
    private final CommitCache<Long, StoredScene> kept;
    private final CommitCache<Long, Long> sceneIds;
    private final CommitCache<Long, Lines> lines;

    StoredScenes(
            SceneService scenes,
            SetService sets,
            ShotRepository shots,
            KnotRepository knots,
            KnotEventRepository events,
            ConfirmationRepository confirmations,
            RecordJson json,
            CommitCaches caches) {
        this.caches = caches;
        this.kept = caches.cache(mostKept(Runtime.getRuntime().maxMemory()), StoredScene::isReadFrom);
        this.lines = caches.cache(MOST_SHOTS, Lines::isReadFrom);
        this.sceneIds =
                caches.cache(MOST_SHOTS, (sceneId, changed) -> changed.part() == Part.SCENE && changed.id() == sceneId);
        this.events = events;
        this.confirmations = confirmations;
        this.scenes = scenes;
        this.sets = sets;
        this.shots = shots;
        this.knots = knots;
        this.json = json;
    }

    private static int mostKept(long memory) {
        return Math.max(LEAST_KEPT, Math.toIntExact(memory / SHARE_OF_MEMORY / SCENE_BYTES));
    }

    /** A scene, whole: read once, then kept until something of it is changed. */
    public StoredScene of(long sceneId) {
        return kept.get(sceneId, this::read);
    }

    /** What a list says of the shots of a scene, in their order. */
    public List<ShotLine> lines(long sceneId) {
        return lines.get(sceneId, this::readLines).lines();
    }

    private Lines readLines(long sceneId) {
        StoredScene scene = of(sceneId);
        Map<Long, LastTouch> touches = events
                .newestOfEach(scene.shots().stream().map(Shot::id).toList())
                .stream()
                .collect(Collectors.toMap(KnotEventEntity::shotId, KnotEventEntity::toLastTouch));
        SceneWords words = new SceneWords(scene);
        return new Lines(
                scene.scene().id(),
                scene.scene().setId(),
                scene.shots().stream()
                        .map(s -> new ShotLine(
                                s,
                                scene.slate(s.card().basedOnId()),
                                touches.get(s.id()),
                                RecordCount.of(scene.completeness(scene.recorded(s.id()))),
                                words.of(s)))
                        .toList());
    }

    /** What is said of a scene in a list, and what that was read from: a book has more scenes than are kept whole. */
    private record Lines(long sceneId, long setId, List<ShotLine> lines) {

        boolean isReadFrom(Source source) {
            return switch (source.part()) {
                case SCENE -> source.id() == sceneId;
                case SET -> source.id() == setId;
                case SHOT -> lines.stream().anyMatch(l -> l.shot().id() == source.id());
                case READINGS, KIT, TEAM -> false;
            };
        }
    }

    /** @throws NotFoundException when there is no such shot */
    public RecordedShot shot(long shotId) {
        return of(sceneIdOf(shotId)).recorded(shotId);
    }

    /** The shot, whose scene nobody else changes until the transaction ends. */
    public RecordedShot locked(long shotId) {
        return lockedScene(sceneIdOf(shotId)).recorded(shotId);
    }

    /** A scene that nobody else changes until the transaction ends. */
    public StoredScene lockedScene(long sceneId) {
        scenes.lockForUpdate(sceneId);
        caches.readFromHere();
        return of(sceneId);
    }

    /** What an edit made of a locked scene is how it is recorded once that is committed. */
    void keepWhenCommitted(StoredScene edited) {
        kept.keepWhenCommitted(edited.scene().id(), edited);
    }

    /** A shot with what it rested on up to an event, as a revision was closed with it. */
    public RecordedShot asOf(long shotId, long lastEvent) {
        StoredScene now = of(sceneIdOf(shotId));
        List<Long> chain = now.record().book().chain(now.recorded(shotId).slate()).stream()
                .map(slate -> now.shot(slate).id())
                .toList();
        Map<Long, Map<StoredKey, KnotEventEntity>> newest = new LinkedHashMap<>();
        events.findByShotIdInAndIdLessThanEqualOrderById(chain, lastEvent)
                .forEach(e -> newest.computeIfAbsent(e.shotId(), id -> new LinkedHashMap<>())
                        .put(e.key(), e));
        List<Knot> tied = newest.values().stream()
                .flatMap(ofAShot -> ofAShot.values().stream())
                .filter(e -> e.value() != null)
                .map(e -> new Knot(
                        Objects.requireNonNull(now.slate(e.shotId())),
                        now.key(e.placementId()),
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
                        now.record()
                                .with(CarryBook.of(
                                        book.slates().stream().map(book::node).toList(), tied)),
                        Map.of(shotId, now.revisions(shotId)),
                        Confirmations.NONE)
                .recorded(shotId);
    }

    private long sceneIdOf(long shotId) {
        return sceneIds.get(shotId, id -> shots.sceneIdOf(id)
                .orElseThrow(() -> new NotFoundException("There is no such shot any more.")));
    }

    private StoredScene read(long sceneId) {
        Scene scene = scenes.get(sceneId);
        DrawnSet set = sets.get(scene.setId());
        List<PlacedPiece> placed = scenes.placed(sceneId);
        List<Shot> all = shots.findBySceneIdOrderByPlaceInList(sceneId).stream()
                .map(ShotEntity::toShot)
                .toList();
        Map<Long, Slate> slates = new HashMap<>();
        all.forEach(s -> slates.put(s.id(), s.card().slate()));
        Map<Long, String> keys = placed.stream()
                .collect(Collectors.toMap(PlacedPiece::id, p -> p.placement().key()));
        List<Knot> tied = new ArrayList<>();
        Map<Long, Map<StoredKey, Long>> revisions = new HashMap<>();
        for (KnotEntity row :
                knots.findByShotIdInOrderById(all.stream().map(Shot::id).toList())) {
            revisions
                    .computeIfAbsent(row.shotId(), shotId -> new HashMap<>())
                    .put(new StoredKey(row.placementId(), row.attribute()), row.revision());
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
        return new StoredScene(scene, set, placed, all, record, revisions, looked(slates, keys));
    }

    private Confirmations looked(Map<Long, Slate> slates, Map<Long, String> keys) {
        return Confirmations.of(confirmations.findByShotIdInAndTakenBackFalseOrderById(slates.keySet()).stream()
                .map(row -> new Confirmation(
                        Objects.requireNonNull(slates.get(row.shotId())),
                        Objects.requireNonNull(keys.get(row.key().placementId())),
                        json.read(row.value(), row.key().attribute().type()),
                        row.author(),
                        row.at()))
                .toList());
    }
}
