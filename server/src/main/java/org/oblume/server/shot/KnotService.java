package org.oblume.server.shot;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Recording;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Tie;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.server.scene.SceneService;
import org.oblume.server.support.JsonText;
import org.oblume.server.support.StaleEdit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Ties and unties knots: checks them against the whole record, keeps the value and appends the event. */
@Service
@Transactional
public class KnotService {

    private final SceneRecords records;
    private final ShotService shots;
    private final SceneService scenes;
    private final KnotRepository knots;
    private final KnotEventRepository events;
    private final JsonText json;
    private final Clock clock;

    KnotService(SceneRecords records, ShotService shots, SceneService scenes, KnotRepository knots,
            KnotEventRepository events, JsonText json, Clock clock) {
        this.records = records;
        this.shots = shots;
        this.scenes = scenes;
        this.knots = knots;
        this.events = events;
        this.json = json;
        this.clock = clock;
    }

    /**
     * Records changes in a shot, all of them or none.
     *
     * @return the revision of each value now, in their order
     * @throws StaleEdit with what the other recorded, when a value was changed since that revision
     * @throws org.oblume.core.units.Refusal when the rules do not allow one; nothing is kept then
     */
    List<Long> change(long shotId, List<KnotChange> changes) {
        Shot shot = shots.get(shotId);
        scenes.oneChangeAtATime(shot.sceneId());
        SceneRecord record = records.of(shot.sceneId());
        String slate = shot.card().slate();
        Recording before = record.recording();
        ShotState held = before.book().resolve(slate);
        Map<Kept, KnotEntity> rows = new HashMap<>();
        knots.findByShotIdInOrderById(List.of(shotId)).forEach(row -> rows.put(new Kept(row.placementId(), row.attribute()), row));
        Recording after = before;
        List<KnotEntity> changed = new ArrayList<>();
        List<Long> revisions = new ArrayList<>();
        for (KnotChange change : changes) {
            long placementId = record.placementId(change.placement());
            @Nullable KnotEntity row = rows.get(new Kept(placementId, change.attribute()));
            long revision = row == null ? 0 : row.revision();
            if (revision != change.expectedRevision()) {
                throw stale(record, Objects.requireNonNull(row, "A value that was tied has gone."), change);
            }
            if (change.value() != null && alreadyHolds(held, change)) {
                revisions.add(revision);
                continue;
            }
            Tie tie = new Tie(change.reason(), change.note(), change.author(), clock.instant(), revision + 1);
            after = with(after, slate, change, tie);
            KnotEntity kept = row == null ? new KnotEntity(shotId, placementId, change.attribute()) : row;
            kept.hold(change.value() == null ? null : json.write(change.value()), tie);
            rows.put(new Kept(placementId, change.attribute()), kept);
            changed.add(kept);
            revisions.add(revision + 1);
        }
        ShotState now = after.book().resolve(slate);
        for (KnotChange change : changes) {
            after.checkColours(now, change.placement());
        }
        knots.saveAllAndFlush(changed);
        events.saveAll(changed.stream().map(KnotEventEntity::new).toList());
        return revisions;
    }

    private record Kept(long placementId, Attribute attribute) {
    }

    /** @throws org.oblume.core.units.Refusal when the rules do not allow the change */
    private static Recording with(Recording before, String slate, KnotChange change, Tie tie) {
        before.book().refuseChangingWhatWasShot(slate, change.placement(), change.attribute());
        before.placement(change.placement()).refuseMovingWhenLocked(change.attribute());
        if (change.value() == null) {
            return before.with(before.book().without(slate, change.placement(), change.attribute()));
        }
        before.book().requireReason(slate, change.reason());
        before.check(change.placement(), change.value());
        return before.with(before.book().with(List.of(new Knot(slate, change.placement(), change.value(), tie))));
    }

    /** Keeps knots that were checked with their whole record, as they are: from a file, or for a new placement. */
    public void keepAll(SceneRecord record, List<Knot> tied) {
        List<KnotEntity> rows = new ArrayList<>();
        for (Knot knot : tied) {
            KnotEntity row = new KnotEntity(record.shot(knot.slate()).id(), record.placementId(knot.placement()),
                    knot.attribute());
            row.hold(json.write(knot.value()), knot.tie());
            rows.add(row);
        }
        knots.saveAllAndFlush(rows);
        events.saveAll(rows.stream().map(KnotEventEntity::new).toList());
    }

    private static boolean alreadyHolds(ShotState state, KnotChange change) {
        AttributeValue wanted = Objects.requireNonNull(change.value());
        return state.knot(change.placement(), change.attribute())
                .filter(k -> k.value().equals(wanted))
                .filter(k -> !state.tiedHere(k) || (k.tie().reason() == change.reason()
                        && Objects.equals(k.tie().note(), change.note())))
                .isPresent();
    }

    private StaleEdit stale(SceneRecord record, KnotEntity theirs, KnotChange change) {
        String name = record.recording().placement(change.placement()).name();
        String what = "the %s of %s".formatted(change.attribute().label(), name);
        AttributeValue value = valueOf(theirs.value(), change.attribute());
        Tie tie = theirs.tie();
        String say = value == null ? "carried again" : value.say();
        return new StaleEdit("%s changed %s to %s. Yours is not kept yet: take theirs, or put yours on top."
                .formatted(tie.author(), what, say), new TheirValue(change.placement(), change.attribute(),
                        change.attribute().label(), value, say, tie.reason(), tie.author(), tie.at(), theirs.revision()));
    }

    private @Nullable AttributeValue valueOf(@Nullable String stored, Attribute attribute) {
        return stored == null ? null : json.read(stored, attribute.type());
    }
}
