package org.oblume.server.shot;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.CarryBook;
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
     * Records a change in a shot.
     *
     * @return the revision of the value now
     * @throws StaleEdit with what the other recorded, when the value was changed since that revision
     * @throws org.oblume.core.units.Refusal when the rules do not allow it; nothing is kept then
     */
    long change(long shotId, KnotChange change) {
        Shot shot = shots.get(shotId);
        scenes.oneChangeAtATime(shot.sceneId());
        SceneRecord record = records.of(shot.sceneId());
        long placementId = record.placementId(change.placement());
        Optional<KnotEntity> row =
                knots.findByShotIdAndPlacementIdAndAttribute(shotId, placementId, change.attribute());
        long revision = row.map(KnotEntity::revision).orElse(0L);
        if (revision != change.expectedRevision()) {
            throw stale(record, row, change);
        }
        String slate = shot.card().slate();
        Recording recording = record.recording();
        recording.book().refuseChangingWhatWasShot(slate, change.placement(), change.attribute());
        Tie tie = new Tie(change.reason(), change.note(), change.author(), clock.instant(), revision + 1);
        if (change.value() != null) {
            if (alreadyHolds(recording.book().resolve(slate), change)) {
                return revision;
            }
            recording.book().requireReason(slate, change.reason());
            recording.check(change.placement(), change.value());
        }
        Recording changed = with(record, slate, change, tie);
        changed.checkColours(changed.book().resolve(slate), change.placement());
        KnotEntity kept = row.orElseGet(() -> new KnotEntity(shotId, placementId, change.attribute()));
        kept.hold(change.value() == null ? null : json.write(change.value()), tie);
        KnotEntity saved = knots.saveAndFlush(kept);
        events.save(new KnotEventEntity(saved));
        return saved.revision();
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

    /** The record as it would be with a change, for trying it. */
    static Recording with(SceneRecord record, String slate, KnotChange change, Tie tie) {
        List<Knot> others = new ArrayList<>(record.knots().stream().filter(k -> !(k.slate().equals(slate)
                && k.placement().equals(change.placement()) && k.attribute() == change.attribute())).toList());
        if (change.value() != null) {
            others.add(new Knot(slate, change.placement(), change.value(), tie));
        }
        Recording now = record.recording();
        List<String> slates = now.book().slates();
        CarryBook book = CarryBook.of(slates.stream().map(now.book()::line).toList(), others);
        return Recording.of(now.set(), now.placements(), book);
    }

    private static boolean alreadyHolds(ShotState state, KnotChange change) {
        AttributeValue wanted = Objects.requireNonNull(change.value());
        return state.knot(change.placement(), change.attribute())
                .filter(k -> k.value().equals(wanted))
                .filter(k -> !state.tiedHere(k) || (k.tie().reason() == change.reason()
                        && Objects.equals(k.tie().note(), change.note())))
                .isPresent();
    }

    private StaleEdit stale(SceneRecord record, Optional<KnotEntity> row, KnotChange change) {
        String name = record.recording().placement(change.placement()).name();
        String what = "the %s of %s".formatted(change.attribute().label(), name);
        KnotEntity theirs = row.orElseThrow(() -> new IllegalStateException("A value that was tied has gone: " + what));
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
