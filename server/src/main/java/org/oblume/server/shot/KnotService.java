package org.oblume.server.shot;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.reach.Reach;
import org.oblume.core.units.Phrase;
import org.oblume.server.shot.EditEntity.Kind;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Ties and unties knots: checks them against the whole record, keeps the value and appends the event. */
@Service
@Transactional
public class KnotService {

    private final StoredScenes records;
    private final KnotRepository knots;
    private final KnotEventRepository events;
    private final EditRepository edits;
    private final RecordJson json;
    private final Clock clock;

    KnotService(
            StoredScenes records,
            KnotRepository knots,
            KnotEventRepository events,
            EditRepository edits,
            RecordJson json,
            Clock clock) {
        this.records = records;
        this.knots = knots;
        this.events = events;
        this.edits = edits;
        this.json = json;
        this.clock = clock;
    }

    /**
     * Changes that are kept.
     *
     * @param revisions of each value now, in their order
     * @param before the shot before them
     * @param after the shot with them
     */
    public record Edited(List<Long> revisions, RecordedShot before, RecordedShot after) {}

    /**
     * Records changes in a shot, all of them or none.
     *
     * @throws EditConflict with what the other recorded, when a value was changed since that revision
     * @throws org.oblume.core.units.Refusal when the rules do not allow one; nothing is kept then
     */
    public Edited change(long shotId, List<KnotChange> changes) {
        return change(records.locked(shotId), changes);
    }

    /** @param shot as it is now, read with its scene locked */
    public Edited change(RecordedShot shot, List<KnotChange> changes) {
        return change(shot, changes, Kind.EDIT, null);
    }

    /** @param ofEdit the edit that this one takes back or does again, or null */
    Edited change(RecordedShot recorded, List<KnotChange> changes, Kind kind, @Nullable Long ofEdit) {
        Shot shot = recorded.shot();
        long shotId = shot.id();
        StoredScene record = recorded.scene();
        SceneRecord before = record.record();
        ShotState held = recorded.state();
        Map<StoredKey, KnotEntity> rows = rows(
                shotId,
                changes.stream().map(c -> record.placementId(c.placement())).collect(Collectors.toSet()));
        SceneRecord after = before;
        List<KnotEntity> changed = new ArrayList<>();
        List<Long> revisions = new ArrayList<>();
        Set<String> names = new LinkedHashSet<>();
        for (KnotChange change : changes) {
            StoredKey key = new StoredKey(record.placementId(change.placement()), change.attribute());
            @Nullable KnotEntity row = rows.get(key);
            long revision = row == null ? 0 : row.revision();
            if (change.expectedRevision() != null && revision != change.expectedRevision()) {
                throw stale(record, row, change);
            }
            if (change.value() != null && alreadyHolds(held, change)) {
                revisions.add(revision);
                continue;
            }
            Attribution tie =
                    new Attribution(change.reason(), change.note(), change.author(), clock.instant(), revision + 1);
            after = with(after, shot, change, tie);
            KnotEntity kept = row == null ? new KnotEntity(shotId, key.placementId(), change.attribute()) : row;
            kept.hold(change.value() == null ? null : json.write(change.value()), tie);
            rows.put(key, kept);
            changed.add(kept);
            revisions.add(revision + 1);
            names.add(before.placement(change.placement()).name());
            if (shot.revision() > 1) {
                changed.addAll(pinned(record, shot, change));
            }
        }
        if (kind == Kind.EDIT) {
            requireWithinReach(after, shot, changes);
        }
        if (!changed.isEmpty()) {
            keep(
                    record,
                    changed,
                    held,
                    new EditEntity(
                            shotId, changes.get(0).author(), clock.instant(), String.join(", ", names), kind, ofEdit));
        }
        return new Edited(revisions, recorded, after(recorded, after, changed));
    }

    /** Looked at when all of them are made: what is moved out of a room may be higher than its ceiling. */
    private static void requireWithinReach(SceneRecord after, Shot shot, List<KnotChange> changes) {
        ShotState state = after.book().resolve(shot.card().slate());
        SceneRecord standing = after.in(state);
        for (KnotChange change : changes) {
            if (change.value() != null) {
                Reach.require(standing, state, standing.placement(change.placement()), change.value());
            }
        }
    }

    /** A revision may have pinned values in other shots too: then the scene is read anew. */
    private RecordedShot after(RecordedShot before, SceneRecord after, List<KnotEntity> changed) {
        Shot shot = before.shot();
        if (shot.revision() > 1) {
            return records.of(shot.sceneId()).recorded(shot.id());
        }
        StoredScene scene = before.scene()
                .with(
                        after,
                        shot.id(),
                        changed.stream()
                                .collect(Collectors.toMap(
                                        KnotEntity::key, KnotEntity::revision, (first, again) -> again)));
        records.keepWhenCommitted(scene);
        return scene.recorded(shot.id());
    }

    /**
     * Places that follow their tapes, because a landmark was corrected; in shots that were shot too, for nothing of them is changed but how
     * their set is drawn.
     *
     * @param record of the scene, which is locked
     */
    void follow(StoredScene record, List<Knot> follow, String author) {
        Map<Slate, List<Knot>> byShot =
                follow.stream().collect(Collectors.groupingBy(Knot::slate, LinkedHashMap::new, Collectors.toList()));
        byShot.forEach((slate, inShot) -> {
            long shotId = record.shot(slate).id();
            Map<StoredKey, KnotEntity> rows = rows(
                    shotId,
                    inShot.stream().map(k -> record.placementId(k.placement())).collect(Collectors.toSet()));
            List<KnotEntity> changed = new ArrayList<>();
            for (Knot knot : inShot) {
                KnotEntity row = Objects.requireNonNull(
                        rows.get(new StoredKey(record.placementId(knot.placement()), knot.attribute())));
                row.hold(
                        json.write(knot.value()),
                        new Attribution(
                                knot.attribution().reason(),
                                "A landmark of the set was corrected",
                                author,
                                clock.instant(),
                                row.revision() + 1));
                changed.add(row);
            }
            keep(
                    record,
                    changed,
                    record.recorded(shotId).state(),
                    new EditEntity(
                            shotId, author, clock.instant(), "a landmark that was corrected", Kind.IMPORT, null));
        });
    }

    private void keep(StoredScene record, List<KnotEntity> changed, ShotState held, EditEntity edit) {
        long editId = edits.saveAndFlush(edit).id();
        knots.saveAllAndFlush(changed);
        events.saveAll(changed.stream()
                .map(k -> new KnotEventEntity(
                        k,
                        editId,
                        held.knot(record.key(k.placementId()), k.attribute())
                                .map(b -> json.write(b.value()))
                                .orElse(null)))
                .toList());
    }

    /** The newest change of all; what is read now holds it. */
    @Transactional(readOnly = true)
    public long newestEvent() {
        return events.newest().orElse(0L);
    }

    /**
     * Checks changes by what the person had in sight.
     *
     * @param shot as it is now, read with its scene locked
     * @throws EditConflict with what the other recorded, when one of the values was changed after that event
     */
    public void requireUnchangedSince(RecordedShot shot, List<KnotChange> changes, long event) {
        Set<StoredKey> since = events
                .findByShotIdAndIdGreaterThanOrderById(shot.shot().id(), event)
                .stream()
                .map(KnotEventEntity::key)
                .collect(Collectors.toSet());
        for (KnotChange change : changes) {
            long placementId = shot.scene().placementId(change.placement());
            StoredKey key = new StoredKey(placementId, change.attribute());
            if (since.contains(key)) {
                throw stale(
                        shot.scene(),
                        rows(shot.shot().id(), Set.of(placementId)).get(key),
                        change);
            }
        }
    }

    /**
     * The revision of a value, if it is now what a change was made on or what it makes of it, whether tied here or carried; else one that
     * nothing has, so that the change is refused with what stands.
     */
    @Transactional(readOnly = true)
    public long revisionOf(
            long shotId, String placement, Attribute attribute, AttributeValue madeOn, AttributeValue wanted) {
        RecordedShot shot = records.shot(shotId);
        boolean asBefore = shot.state()
                .knot(placement, attribute)
                .map(Knot::value)
                .filter(v -> v.equals(madeOn) || v.equals(wanted))
                .isPresent();
        StoredKey key = new StoredKey(shot.scene().placementId(placement), attribute);
        KnotEntity row = rows(shotId, Set.of(key.placementId())).get(key);
        return asBefore ? row == null ? 0 : row.revision() : -1;
    }

    private Map<StoredKey, KnotEntity> rows(long shotId, Set<Long> placementIds) {
        return knots.findByShotIdAndPlacementIdIn(shotId, placementIds).stream()
                .collect(Collectors.toMap(KnotEntity::key, row -> row, (a, b) -> b, HashMap::new));
    }

    /** A revision leaves what was shot after it as it was: each keeps the value that it carried, as a knot of its own. */
    private List<KnotEntity> pinned(StoredScene record, Shot revised, KnotChange change) {
        CarryBook book = record.record().book();
        List<KnotEntity> pins = new ArrayList<>();
        for (Slate slate : book.lockedFollowers(revised.card().slate(), change.key())) {
            book.resolve(slate).knot(change.placement(), change.attribute()).ifPresent(carried -> {
                long shotId = record.shot(slate).id();
                StoredKey key = new StoredKey(record.placementId(change.placement()), change.attribute());
                KnotEntity row = rows(shotId, Set.of(key.placementId()))
                        .getOrDefault(key, new KnotEntity(shotId, key.placementId(), change.attribute()));
                row.hold(
                        json.write(carried.value()),
                        new Attribution(
                                Reason.FIX,
                                "As it was shot; %s was revised"
                                        .formatted(revised.card().slate()),
                                change.author(),
                                clock.instant(),
                                row.revision()));
                pins.add(row);
            });
        }
        return pins;
    }

    /** @throws org.oblume.core.units.Refusal when the rules do not allow the change */
    private static SceneRecord with(SceneRecord before, Shot shot, KnotChange change, Attribution tie) {
        Slate slate = shot.card().slate();
        if (shot.revision() == 1 || shot.card().stage() == ShotStage.SHOT) {
            before.book().refuseChangingWhatWasShot(slate, change.key());
        }
        before.placement(change.placement()).refuseMovingWhenLocked(change.attribute());
        if (change.value() == null) {
            SceneRecord carried = before.with(before.book().without(slate, change.key()));
            if (change.attribute() == Attribute.UNIT) {
                carried.checkStanding(change.placement());
            }
            return carried;
        }
        before.book().requireReason(slate, change.reason());
        before.in(before.book().resolve(slate)).check(change.placement(), change.value());
        SceneRecord after =
                before.with(before.book().with(List.of(new Knot(slate, change.placement(), change.value(), tie))));
        if (change.attribute() == Attribute.UNIT) {
            after.checkStanding(change.placement());
        }
        return after;
    }

    /** Keeps knots that were checked with their whole record, as they are, for a new placement or a new scene. */
    public void recordAll(StoredScene record, List<Knot> tied) {
        recordAll(record, tied, null);
    }

    /**
     * Keeps knots that were checked with their whole record, as a file says them.
     *
     * @param importer who brought the file in, or null
     */
    public void recordAll(StoredScene record, List<Knot> tied, @Nullable String importer) {
        List<KnotEntity> rows = new ArrayList<>();
        for (Knot knot : tied) {
            KnotEntity row = new KnotEntity(
                    record.shot(knot.slate()).id(), record.placementId(knot.placement()), knot.attribute());
            row.hold(json.write(knot.value()), knot.attribution());
            rows.add(row);
        }
        knots.saveAllAndFlush(rows);
        Map<Long, Long> imports = new HashMap<>();
        if (importer != null) {
            rows.forEach(row -> imports.computeIfAbsent(row.shotId(), shotId -> edits.save(new EditEntity(
                            shotId, importer, clock.instant(), "brought in from a file", Kind.IMPORT, null))
                    .id()));
        }
        events.saveAll(rows.stream()
                .map(row -> new KnotEventEntity(row, imports.get(row.shotId()), null))
                .toList());
    }

    private static boolean alreadyHolds(ShotState state, KnotChange change) {
        AttributeValue wanted = Objects.requireNonNull(change.value());
        return state.knot(change.placement(), change.attribute())
                .filter(k -> k.value().equals(wanted))
                .filter(k -> !state.tiedHere(k)
                        || (k.attribution().reason() == change.reason()
                                && Objects.equals(k.attribution().note(), change.note())))
                .isPresent();
    }

    /** @param theirs null when nothing was ever recorded there */
    private EditConflict stale(StoredScene record, @Nullable KnotEntity theirs, KnotChange change) {
        String name = record.record().placement(change.placement()).name();
        String what = "the %s of %s".formatted(change.attribute().label(), name);
        if (theirs == null) {
            return new EditConflict(
                    "Nothing was ever recorded for %s here: load the shot again and change it there.".formatted(what),
                    null);
        }
        AttributeValue value = valueOf(theirs.value(), change.attribute());
        Attribution tie = theirs.attribution();
        Phrase say = value == null ? Phrase.of("carried again") : value.phrase();
        return new EditConflict(
                "%s changed %s to %s. Yours is not kept yet: take theirs, or put yours on top."
                        .formatted(tie.author(), what, say.metric()),
                new ConflictingValue(
                        change.placement(),
                        change.attribute(),
                        change.attribute().label(),
                        value,
                        say,
                        tie.reason(),
                        tie.author(),
                        tie.at(),
                        theirs.revision()));
    }

    private @Nullable AttributeValue valueOf(@Nullable String stored, Attribute attribute) {
        return stored == null ? null : json.read(stored, attribute.type());
    }
}
