package org.oblume.server.shot;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.scene.SceneService;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

@Service
@Transactional
public class ShotService {

    private final ShotRepository shots;
    private final KnotEventRepository events;
    private final SceneService scenes;
    private static final int LONGEST_REASON = 500;
    private final StoredScenes records;
    private final RevisionRepository revisions;
    private final Clock clock;

    ShotService(
            ShotRepository shots,
            KnotEventRepository events,
            SceneService scenes,
            StoredScenes records,
            RevisionRepository revisions,
            Clock clock) {
        this.shots = shots;
        this.revisions = revisions;
        this.clock = clock;
        this.scenes = scenes;
        this.events = events;
        this.records = records;
    }

    @Transactional(readOnly = true)
    public Shot get(long id) {
        return entity(id).toShot();
    }

    /** The shots of several scenes, each scene's in its own order. */
    @Transactional(readOnly = true)
    public List<Shot> ofScenes(List<Long> sceneIds) {
        return shots.findBySceneIdInOrderByPlaceInList(sceneIds).stream()
                .map(ShotEntity::toShot)
                .toList();
    }

    /** Adds a shot, last in its scene. */
    public Shot create(long sceneId, ShotCard card, String author) {
        return insert(sceneId, card, null, false, author);
    }

    /**
     * Adds a shot.
     *
     * @param afterId the shot that it comes after, or null for the last place
     * @param next whether the shot that came next, if it carries from the one before, carries from the new one: nothing changes in it by that
     */
    public Shot insert(long sceneId, ShotCard card, @Nullable Long afterId, boolean next, String author) {
        scenes.lockForUpdate(sceneId);
        StoredScene record = records.of(sceneId);
        refuseTaken(record, 0, card.slate());
        requireInScene(record, card);
        List<ShotEntity> all = shots.findBySceneIdOrderByPlaceInList(sceneId);
        int place = all.size();
        if (afterId != null) {
            place = 1
                    + IntStream.range(0, all.size())
                            .filter(i -> all.get(i).toShot().id() == afterId)
                            .findFirst()
                            .orElseThrow(
                                    () -> new Refusal(
                                            "after",
                                            "The shot that this one comes after is not in the scene any more: choose another place."));
            for (int i = place; i < all.size(); i++) {
                all.get(i).moveTo(i + 1);
            }
        }
        ShotEntity made = new ShotEntity(sceneId, place, card);
        made.reached(ShotStage.PLANNED, author, clock.instant());
        Shot shot = shots.saveAndFlush(made).toShot();
        if (next && place < all.size()) {
            Shot follower = all.get(place).toShot();
            if (Objects.equals(follower.card().basedOnId(), card.basedOnId())) {
                ShotCard was = follower.card();
                all.get(place).fill(new ShotCard(was.slate(), was.description(), was.day(), was.stage(), shot.id()));
            }
        }
        shots.flush();
        return shot;
    }

    /**
     * Adds the shots of a scene that has none, in their order. They were checked as a whole before.
     *
     * @return the shots by their slates
     */
    public Map<Slate, Shot> createAll(long sceneId, List<ListedShot> listed) {
        Map<Slate, ShotEntity> made = new LinkedHashMap<>();
        for (ListedShot shot : listed) {
            made.put(shot.node().slate(), shots.save(new ShotEntity(sceneId, made.size(), shot.card(null))));
        }
        for (ListedShot shot : listed) {
            if (shot.node().basedOn() != null) {
                long baseId = Objects.requireNonNull(made.get(shot.node().basedOn()))
                        .toShot()
                        .id();
                Objects.requireNonNull(made.get(shot.node().slate())).fill(shot.card(baseId));
            }
        }
        shots.flush();
        Map<Slate, Shot> bySlate = new LinkedHashMap<>();
        made.forEach((slate, entity) -> bySlate.put(slate, entity.toShot()));
        return bySlate;
    }

    /**
     * Changes what is said of a shot.
     *
     * @throws EditConflict with the card as it stands, when someone changed it since that version
     */
    public Shot update(long id, ShotCard card, long version, String author) {
        scenes.lockForUpdate(shots.sceneIdOf(id).orElseThrow(ShotService::gone));
        ShotEntity entity = entity(id);
        Shot shot = entity.toShot();
        refuseStale(shot, version);
        StoredScene record = records.of(shot.sceneId());
        refuseTaken(record, id, card.slate());
        requireInScene(record, card);
        if (!Objects.equals(shot.card().basedOnId(), card.basedOnId())) {
            record.record().book().refuseRebasing(shot.card().slate(), record.slate(card.basedOnId()));
        }
        ShotStage before = shot.card().stage();
        if (before == ShotStage.SHOT && card.stage() != ShotStage.SHOT) {
            throw new Refusal(
                    "stage",
                    "%s has been shot: open a revision and say why."
                            .formatted(shot.card().slate()));
        }
        entity.fill(card);
        entity.reached(before, author, clock.instant());
        return shots.saveAndFlush(entity).toShot();
    }

    /**
     * Opens what was shot for a change. The revision before stays readable.
     *
     * @throws Refusal when it has not been shot, or no reason is given
     */
    public Shot revise(long id, String reason, String author) {
        scenes.lockForUpdate(shots.sceneIdOf(id).orElseThrow(ShotService::gone));
        ShotEntity entity = entity(id);
        Shot shot = entity.toShot();
        if (shot.card().stage() != ShotStage.SHOT) {
            throw new Refusal("%s has not been shot: change it as it is."
                    .formatted(shot.card().slate()));
        }
        String why = Checks.text("Why it is revised", reason, LONGEST_REASON);
        revisions.save(new RevisionEntity(
                id,
                shot.revision(),
                why,
                author,
                clock.instant(),
                events.newest().orElse(0L)));
        entity.openRevision();
        return shots.saveAndFlush(entity).toShot();
    }

    @Transactional(readOnly = true)
    public List<ClosedRevision> revisions(long id) {
        return revisions.findByShotIdOrderByNumber(id).stream()
                .map(RevisionEntity::toRevision)
                .toList();
    }

    /** Deletes a shot that no other is based on, with what was recorded in it. */
    public void delete(long id, long version) {
        scenes.lockForUpdate(shots.sceneIdOf(id).orElseThrow(ShotService::gone));
        Shot shot = get(id);
        refuseStale(shot, version);
        records.of(shot.sceneId()).record().book().refuseDeleting(shot.card().slate());
        shots.deleteById(id);
    }

    private ShotEntity entity(long id) {
        return shots.findById(id).orElseThrow(ShotService::gone);
    }

    private static NotFoundException gone() {
        return new NotFoundException("There is no such shot any more.");
    }

    private static void refuseStale(Shot shot, long version) {
        if (shot.version() != version) {
            throw new EditConflict(
                    "Someone changed %s since you opened it. Nothing of yours was kept yet."
                            .formatted(shot.card().slate()),
                    shot);
        }
    }

    private static void refuseTaken(StoredScene record, long id, Slate slate) {
        if (record.shots().stream()
                .anyMatch(s -> s.id() != id && s.card().slate().text().equalsIgnoreCase(slate.text()))) {
            throw new Refusal("slate", "The scene has a shot %s already: choose another slate.".formatted(slate));
        }
    }

    private static void requireInScene(StoredScene record, ShotCard card) {
        if (card.basedOnId() != null && record.slate(card.basedOnId()) == null) {
            throw new Refusal("basedOnId", "%s can only be based on a shot of its own scene.".formatted(card.slate()));
        }
    }
}
