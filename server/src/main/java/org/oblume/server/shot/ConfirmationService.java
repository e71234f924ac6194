package org.oblume.server.shot;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ValueKey;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.server.shot.EditEntity.Kind;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Says that somebody looked at values on set, and takes that back. No value is changed by it, so a shot that was shot can be walked too. */
@Service
@Transactional
public class ConfirmationService {

    private final StoredScenes records;
    private final KnotService tying;
    private final ConfirmationRepository confirmations;
    private final KnotEventRepository events;
    private final EditRepository edits;
    private final RecordJson json;
    private final Clock clock;

    ConfirmationService(
            StoredScenes records,
            KnotService tying,
            ConfirmationRepository confirmations,
            KnotEventRepository events,
            EditRepository edits,
            RecordJson json,
            Clock clock) {
        this.records = records;
        this.tying = tying;
        this.confirmations = confirmations;
        this.events = events;
        this.edits = edits;
        this.json = json;
        this.clock = clock;
    }

    /** Records a change by somebody who stands before the thing: what is recorded was looked at. */
    KnotService.Edited change(long shotId, KnotChange change) {
        KnotService.Edited edited = tying.change(shotId, List.of(change));
        keep(edited.after(), List.of(change.key()), change.author(), null);
        return new KnotService.Edited(edited.revisions(), edited.before(), again(edited.after()));
    }

    /** Says of all that is recorded of a thing in a shot that it stands so. */
    RecordedShot confirmAll(RecordedShot shot, String placement, String author) {
        keep(shot, shot.state().knots(placement).stream().map(Knot::key).toList(), author, null);
        return again(shot);
    }

    /** @param edit that it is taken back with; null where the value itself would be another then */
    private void keep(RecordedShot shot, List<ValueKey> values, String author, @Nullable Long edit) {
        long newest = events.newest().orElse(0L);
        Instant now = clock.instant();
        confirmations.saveAllAndFlush(values.stream()
                .flatMap(key -> row(shot, key, author, now, edit, newest))
                .toList());
    }

    /** Of the value as it holds in the shot; none where nothing holds. */
    private Stream<ConfirmationEntity> row(
            RecordedShot shot, ValueKey key, String author, Instant at, @Nullable Long edit, long newest) {
        return shot.state().value(key.placement(), key.attribute()).stream()
                .map(value -> new ConfirmationEntity(
                        shot.shot().id(),
                        new StoredKey(shot.scene().placementId(key.placement()), key.attribute()),
                        json.write(value),
                        author,
                        at,
                        edit,
                        newest));
    }

    private RecordedShot again(RecordedShot shot) {
        return records.of(shot.scene().scene().id()).recorded(shot.shot().id());
    }

    /**
     * @param seen the values as the person had them in sight
     * @throws EditConflict when one of them is another meanwhile; nothing is kept then
     */
    KnotService.Edited confirm(long shotId, String placement, Map<Attribute, JsonNode> seen, String author) {
        RecordedShot before = records.locked(shotId);
        String name = before.record().placement(placement).name();
        List<ValueKey> wanted = new ArrayList<>();
        for (Map.Entry<Attribute, JsonNode> one : seen.entrySet()) {
            AttributeValue value = json.value(one.getKey(), one.getValue());
            if (before.state()
                    .value(placement, one.getKey())
                    .filter(value::equals)
                    .isEmpty()) {
                throw new EditConflict(
                        "The %s of %s is recorded otherwise meanwhile: look again before you say that it stands so."
                                .formatted(one.getKey().label(), name),
                        null);
            }
            if (before.scene()
                    .confirmations()
                    .here(before.state(), placement, one.getKey())
                    .isEmpty()) {
                wanted.add(new ValueKey(placement, one.getKey()));
            }
        }
        if (wanted.isEmpty()) {
            return new KnotService.Edited(List.of(), before, before);
        }
        long edit = edits.saveAndFlush(new EditEntity(
                        shotId, author, clock.instant(), "%s, looked at".formatted(name), Kind.EDIT, null))
                .id();
        keep(before, wanted, author, edit);
        return new KnotService.Edited(List.of(), before, again(before));
    }

    /** What an edit, or the one that it takes back or does again, confirmed; empty when it confirmed nothing. */
    List<ConfirmationEntity> of(EditEntity edit) {
        return confirmations.findByEditIdOrderById(edit.original());
    }

    /** Takes back, or says again, what an edit confirmed. */
    KnotService.Edited revert(
            RecordedShot before, EditEntity edit, List<ConfirmationEntity> all, String author, Kind kind) {
        edit.takeBack();
        edits.save(edit);
        all.forEach(c -> c.takeBack(kind == Kind.UNDO));
        edits.saveAndFlush(
                new EditEntity(before.shot().id(), author, clock.instant(), edit.label(), kind, edit.original()));
        confirmations.saveAllAndFlush(all);
        return new KnotService.Edited(List.of(), before, again(before));
    }

    /** What holds of a shot, for a file. */
    @Transactional(readOnly = true)
    public List<WrittenConfirmation> written(RecordedShot shot) {
        return shot.scene().confirmations().all().stream()
                .filter(c -> c.slate().equals(shot.slate()))
                .filter(c -> shot.state()
                        .value(c.placement(), c.key().attribute())
                        .filter(c.value()::equals)
                        .isPresent())
                .map(c -> new WrittenConfirmation(c.placement(), c.key().attribute(), c.author(), c.at()))
                .sorted(WrittenConfirmation.IN_ORDER)
                .toList();
    }

    /** Keeps what a file says that people looked at; of values that the file does not have nothing is said. */
    public void importAll(RecordedShot shot, List<WrittenConfirmation> all) {
        long newest = events.newest().orElse(0L);
        confirmations.saveAllAndFlush(all.stream()
                .flatMap(c -> row(shot, new ValueKey(c.placement(), c.attribute()), c.author(), c.at(), null, newest))
                .toList());
    }
}
