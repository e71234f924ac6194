package org.oblume.server.shot;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Confirmations;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.Slate;
import org.oblume.core.complete.Completeness;
import org.oblume.core.plot.Placement;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.scene.Scene;
import org.oblume.server.set.DrawnSet;
import org.oblume.server.set.StageSet;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordSource.Source;

/** A scene as it is recorded, with the ids it is stored under. Does not change; what is resolved of it is resolved once. */
public final class StoredScene {

    private final Scene scene;
    private final DrawnSet drawn;
    private final List<PlacedPiece> placed;
    private final List<Shot> shots;
    private final SceneRecord record;
    private final Map<Long, Map<StoredKey, Long>> revisions;
    private final Confirmations confirmations;
    private final Map<Long, PlacedPiece> placedById = new LinkedHashMap<>();
    private final Map<String, PlacedPiece> placedByKey = new HashMap<>();
    private final Map<Long, RecordedShot> recorded = new ConcurrentHashMap<>();
    private final Map<Long, List<PlacedView>> views = new ConcurrentHashMap<>();
    private final Map<Long, Completeness> completeness = new ConcurrentHashMap<>();

    /**
     * @param revisions of the shots' own values, those that carry again too, by shot and value
     * @param confirmations what people looked at on set
     */
    StoredScene(
            Scene scene,
            DrawnSet drawn,
            List<PlacedPiece> placed,
            List<Shot> shots,
            SceneRecord record,
            Map<Long, Map<StoredKey, Long>> revisions,
            Confirmations confirmations) {
        this.scene = scene;
        this.drawn = drawn;
        this.placed = List.copyOf(placed);
        this.shots = List.copyOf(shots);
        this.record = record;
        this.revisions = revisions;
        this.confirmations = confirmations;
        placed.forEach(p -> {
            placedById.put(p.id(), p);
            placedByKey.put(p.placement().key(), p);
        });
    }

    public Scene scene() {
        return scene;
    }

    public DrawnSet drawn() {
        return drawn;
    }

    public StageSet set() {
        return drawn.set();
    }

    public List<PlacedPiece> placed() {
        return placed;
    }

    public List<Shot> shots() {
        return shots;
    }

    public List<Knot> knots() {
        return record.book().knots();
    }

    public SceneRecord record() {
        return record;
    }

    /** What people looked at on set. */
    public Confirmations confirmations() {
        return confirmations;
    }

    /** What a stranger would have to guess to put a shot back. */
    public Completeness completeness(RecordedShot shot) {
        return completeness.computeIfAbsent(
                shot.shot().id(),
                id -> Completeness.of(
                        shot.record(),
                        shot.state(),
                        confirmations,
                        scene.heading().buildOrder()));
    }

    /** @throws NotFoundException when the scene has no such shot */
    public RecordedShot recorded(long shotId) {
        return recorded.computeIfAbsent(shotId, id -> {
            Shot shot = shots.stream()
                    .filter(s -> s.id() == id)
                    .findFirst()
                    .orElseThrow(() -> new NotFoundException("There is no such shot any more."));
            return new RecordedShot(
                    shot, this, record.book().resolve(shot.card().slate()));
        });
    }

    /** What its placements look like in a shot. */
    List<PlacedView> views(RecordedShot shot) {
        return views.computeIfAbsent(shot.shot().id(), id -> new Placements(shot).views());
    }

    /** Takes over what the placements looked like before an edit of a shot, but for those that it changed. */
    void takeOverViews(RecordedShot before, RecordedShot after, List<PlacedView> changed) {
        List<PlacedView> known = before.scene().views.get(before.shot().id());
        if (known != null && known.size() == placed.size()) {
            Map<String, PlacedView> anew = new HashMap<>();
            changed.forEach(view -> anew.put(view.placement().key(), view));
            views.put(
                    after.shot().id(),
                    known.stream()
                            .map(view -> anew.getOrDefault(view.placement().key(), view))
                            .toList());
        }
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
        return Optional.ofNullable(placedByKey.get(key))
                .orElseThrow(() -> new NotFoundException("The scene has no placement “%s”.".formatted(key)))
                .id();
    }

    /** The placement that is stored under an id. */
    public Placement placement(long placementId) {
        return Optional.ofNullable(placedById.get(placementId))
                .orElseThrow(() -> new NotFoundException("That is not placed in the scene any more."))
                .placement();
    }

    /** Key of the placement that is stored under an id. */
    public String key(long placementId) {
        return placement(placementId).key();
    }

    /** Revision of a shot's own value; 0 when none was ever tied there. */
    long revision(long shotId, StoredKey key) {
        return revisions.getOrDefault(shotId, Map.of()).getOrDefault(key, 0L);
    }

    /** Revisions of a shot's own values. */
    Map<StoredKey, Long> revisions(long shotId) {
        return revisions.getOrDefault(shotId, Map.of());
    }

    /** Revisions of a shot's own values of one placement. */
    Map<StoredKey, Long> revisions(long shotId, String key) {
        long placementId = placementId(key);
        Map<StoredKey, Long> own = new HashMap<>(revisions(shotId));
        own.keySet().removeIf(value -> value.placementId() != placementId);
        return own;
    }

    /** What is placed under a key; null when nothing is. */
    @Nullable
    PlacedPiece piece(String key) {
        return placedByKey.get(key);
    }

    /** This scene with a record that was changed in one shot, and the revisions of what was. */
    StoredScene with(SceneRecord changed, long shotId, Map<StoredKey, Long> revised) {
        Map<Long, Map<StoredKey, Long>> all = new HashMap<>(revisions);
        Map<StoredKey, Long> own = new HashMap<>(revisions(shotId));
        own.putAll(revised);
        all.put(shotId, own);
        return new StoredScene(scene, drawn, placed, shots, changed, all, confirmations);
    }

    /** Whether any of it was read from that part of the record. */
    boolean isReadFrom(Source source) {
        return switch (source.part()) {
            case SCENE -> source.id() == scene.id();
            case SET -> source.id() == scene.setId();
            case SHOT -> shots.stream().anyMatch(s -> s.id() == source.id());
            case READINGS, KIT, TEAM -> false;
        };
    }
}
