package org.oblume.server.shot;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.moves.ChangePhrases;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.shot.EditEntity.Kind;
import org.oblume.server.support.CommitCaches;
import org.oblume.server.support.CommitCaches.CommitCache;
import org.oblume.server.support.RecordJson;
import org.oblume.server.support.RecordSource.Part;
import org.oblume.server.team.TeamService;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was changed in a shot, taking it back, and going back to how it was. Nothing of the past is ever rewritten. */
@Service
@Transactional
public class HistoryService {

    private static final int PAGE = 200;
    private static final Set<Kind> DOABLE = Set.of(Kind.EDIT, Kind.REDO);
    /** People, each in the shots that they look at. */
    private static final int MOST_KEPT = 10_000;

    private final StoredScenes records;
    private final KnotService tying;
    private final KnotEventRepository events;
    private final EditRepository edits;
    private final ConfirmationRepository confirmations;
    private final NamingRepository namings;
    private final ConfirmationService looked;
    private final RecordJson json;
    private final TeamService team;
    private final Clock clock;
    private final CommitCache<Looker, OwnEdits> own;

    HistoryService(
            StoredScenes records,
            KnotService tying,
            KnotEventRepository events,
            EditRepository edits,
            ConfirmationRepository confirmations,
            NamingRepository namings,
            ConfirmationService looked,
            RecordJson json,
            TeamService team,
            Clock clock,
            CommitCaches caches) {
        this.own = caches.cache(
                MOST_KEPT, (known, changed) -> changed.part() == Part.SHOT && changed.id() == known.shotId());
        this.team = team;
        this.clock = clock;
        this.records = records;
        this.tying = tying;
        this.events = events;
        this.edits = edits;
        this.confirmations = confirmations;
        this.namings = namings;
        this.looked = looked;
        this.json = json;
    }

    /**
     * A page of what was changed.
     *
     * @param changes the newest first
     * @param older whether there are older ones
     */
    record PastPage(List<PastChange> changes, boolean older) {}

    /**
     * @param placement only what was changed of that thing, or null for all of the shot
     * @param before only what was changed before that event, or null for the newest
     */
    @Transactional(readOnly = true)
    PastPage past(long shotId, @Nullable String placement, @Nullable Long before) {
        StoredScene record = records.shot(shotId).scene();
        long end = before == null ? Long.MAX_VALUE : before;
        Limit oneMore = Limit.of(PAGE + 1);
        List<KnotEventEntity> found = placement == null
                ? events.findByShotIdAndIdLessThanOrderByIdDesc(shotId, end, oneMore)
                : events.findByShotIdAndPlacementIdAndIdLessThanOrderByIdDesc(
                        shotId, record.placementId(placement), end, oneMore);
        Map<Long, String> importers =
                edits
                        .findAllById(
                                found.stream().flatMap(e -> e.editId().stream()).toList())
                        .stream()
                        .filter(EditEntity::isImport)
                        .collect(Collectors.toMap(EditEntity::id, EditEntity::author));
        List<PastChange> changes = new ArrayList<>(found.stream()
                .limit(PAGE)
                .map(e -> past(
                        record,
                        record.placement(e.placementId()),
                        e,
                        e.editId().map(importers::get).orElse(null)))
                .toList());
        boolean older = found.size() > PAGE;
        long first = older ? changes.get(PAGE - 1).event() : 0;
        confirmations.findByShotIdAndTakenBackFalseAndAfterEventBetweenOrderByIdDesc(shotId, first, end - 1).stream()
                .filter(c ->
                        placement == null || record.key(c.key().placementId()).equals(placement))
                .map(c -> past(record, c))
                .forEach(changes::add);
        List<Long> things = placement == null
                ? record.record().placements().stream()
                        .map(p -> record.placementId(p.key()))
                        .toList()
                : List.of(record.placementId(placement));
        namings.findByPlacementIdInAndAfterEventBetweenOrderByIdDesc(things, first, end - 1).stream()
                .map(n -> past(record.placement(n.placementId()).key(), n))
                .forEach(changes::add);
        changes.sort(Comparator.comparingLong(PastChange::event)
                .thenComparing(PastChange::kind)
                .reversed());
        return new PastPage(changes, older);
    }

    private PastChange past(StoredScene record, ConfirmationEntity seen) {
        Placement placement = record.placement(seen.key().placementId());
        Attribute attribute = seen.key().attribute();
        Phrase value = printed(record, attribute, seen.value());
        return new PastChange(
                seen.afterEvent(),
                placement.key(),
                placement.name(),
                attribute.label(),
                value,
                value,
                null,
                null,
                seen.author(),
                seen.at(),
                null,
                PastChange.Kind.LOOKED);
    }

    private static PastChange past(String key, NamingEntity named) {
        return new PastChange(
                named.afterEvent(),
                key,
                named.after(),
                "name",
                Phrase.of(named.before()),
                Phrase.of(named.after()),
                null,
                null,
                named.author(),
                named.at(),
                null,
                PastChange.Kind.NAMED);
    }

    private PastChange past(StoredScene record, Placement placement, KnotEventEntity event, @Nullable String importer) {
        return new PastChange(
                event.id(),
                placement.key(),
                placement.name(),
                event.attribute().label(),
                printed(record, event.attribute(), event.beforeValue()),
                printed(record, event.attribute(), event.value()),
                event.reason(),
                event.attribution().note(),
                event.attribution().author(),
                event.attribution().at(),
                importer,
                PastChange.Kind.CHANGED);
    }

    private @Nullable Phrase printed(StoredScene record, Attribute attribute, @Nullable String stored) {
        return stored == null ? null : ChangePhrases.say(record.record(), json.read(stored, attribute.type()));
    }

    /** Keeps that a thing was given another name, where it was. */
    void named(StoredScene record, Placement before, String name, String author) {
        if (!before.name().equals(name)) {
            namings.save(new NamingEntity(
                    record.placementId(before.key()),
                    before.name(),
                    name,
                    author,
                    clock.instant(),
                    events.newest().orElse(0L)));
        }
    }

    /** Somebody who looks at a shot. */
    private record Looker(long shotId, String author) {}

    private record OwnEdits(long shotId, PlotView.Mine next) {}

    /** What this person's next undo and redo would be of, in this shot. */
    @Transactional(readOnly = true)
    PlotView.Mine mine(long shotId, String author) {
        return own.get(
                        new Looker(shotId, author),
                        looker -> new OwnEdits(
                                shotId,
                                new PlotView.Mine(
                                        lastDone(shotId, author)
                                                .map(EditEntity::label)
                                                .orElse(null),
                                        lastUndone(shotId, author)
                                                .map(EditEntity::label)
                                                .orElse(null))))
                .next();
    }

    /** @throws Refusal when there is nothing to take back, or somebody changed it since */
    public KnotService.Edited undo(long shotId, String author) {
        RecordedShot shot = records.locked(shotId);
        EditEntity edit = lastDone(shotId, author)
                .orElseThrow(() -> new Refusal("There is nothing of yours to undo in this shot."));
        return revert(shot, edit, author, Kind.UNDO);
    }

    public KnotService.Edited redo(long shotId, String author) {
        RecordedShot shot = records.locked(shotId);
        EditEntity undone = lastUndone(shotId, author)
                .orElseThrow(() -> new Refusal("There is nothing of yours to do again in this shot."));
        return revert(shot, undone, author, Kind.REDO);
    }

    private Optional<EditEntity> lastDone(long shotId, String author) {
        return last(shotId, author, DOABLE);
    }

    /** An undo can be done again until the same person edits anew. */
    private Optional<EditEntity> lastUndone(long shotId, String author) {
        long edited =
                last(shotId, author, Set.of(Kind.EDIT)).map(EditEntity::id).orElse(0L);
        return last(shotId, author, Set.of(Kind.UNDO)).filter(u -> u.id() > edited);
    }

    private Optional<EditEntity> last(long shotId, String author, Set<Kind> kinds) {
        return edits.findFirstByShotIdAndAuthorAndKindInAndTakenBackFalseOrderByIdDesc(shotId, author, kinds);
    }

    private KnotService.Edited revert(RecordedShot shot, EditEntity edit, String author, Kind kind) {
        long shotId = shot.shot().id();
        List<ConfirmationEntity> seen = looked.of(edit);
        if (!seen.isEmpty()) {
            team.require(author, EditRights.of(seen.stream().map(c -> c.key().attribute())));
            return looked.revert(shot, edit, seen, author, kind);
        }
        List<KnotChange> back = new ArrayList<>();
        for (KnotEventEntity event : events.findByEditIdOrderById(edit.id())) {
            if (event.shotId() != shotId) {
                continue; // a value that was pinned in a shot that is locked stays pinned
            }
            Placement placement = shot.scene().placement(event.placementId());
            KnotEventEntity now = events.findFirstByShotIdAndPlacementIdAndAttributeOrderByIdDesc(
                            shotId, event.placementId(), event.attribute())
                    .orElse(event);
            // What a later edit that was taken back left behind is what this one left.
            if (now.id() != event.id() && !Objects.equals(now.value(), event.value())) {
                throw new Refusal("%s changed the %s of %s since: change it by hand, or go back in the history."
                        .formatted(now.attribution().author(), event.attribute().label(), placement.name()));
            }
            back.add(asBefore(event, placement, author));
        }
        team.require(author, EditRights.of(back.stream().map(KnotChange::attribute)));
        edit.takeBack();
        edits.save(edit);
        return tying.change(shot, back, kind, edit.id());
    }

    /** The value that its own shot held before an event: what was tied before it, or carried. */
    private KnotChange asBefore(KnotEventEntity event, Placement placement, String author) {
        return asAt(
                events.findFirstByShotIdAndPlacementIdAndAttributeAndIdLessThanOrderByIdDesc(
                                event.shotId(), event.placementId(), event.attribute(), event.id())
                        .orElse(null),
                event.attribute(),
                placement,
                author);
    }

    private KnotChange asAt(@Nullable KnotEventEntity then, Attribute attribute, Placement placement, String author) {
        AttributeValue value = then == null || then.value() == null
                ? null
                : json.read(Objects.requireNonNull(then.value()), attribute.type());
        return new KnotChange(
                placement.key(),
                attribute,
                value,
                then == null ? null : then.reason(),
                then == null ? null : then.attribution().note(),
                author,
                null);
    }

    /**
     * Puts a shot back to how it was after an event, as a new edit.
     *
     * @param placement only that thing, or null for all of the shot
     */
    public KnotService.Edited goBack(long shotId, long event, @Nullable String placement, String author) {
        RecordedShot shot = records.locked(shotId);
        StoredScene record = shot.scene();
        Map<StoredKey, KnotEventEntity> firstSince = new LinkedHashMap<>();
        for (KnotEventEntity e : events.findByShotIdAndIdGreaterThanOrderById(shotId, event)) {
            if (placement == null || record.key(e.placementId()).equals(placement)) {
                firstSince.putIfAbsent(e.key(), e);
            }
        }
        List<KnotChange> back = firstSince.values().stream()
                .map(e -> asBefore(e, record.placement(e.placementId()), author))
                .toList();
        if (back.isEmpty()) {
            throw new Refusal("Nothing was changed since: it is as it was.");
        }
        return tying.change(shot, back);
    }
}
