package org.oblume.server.truck;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.oblume.core.kit.PullCount;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.day.DayUse;
import org.oblume.server.production.ProductionService;
import org.oblume.server.scene.Scene;
import org.oblume.server.scene.SceneService;
import org.oblume.server.set.SetService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.oblume.server.truck.PullViews.AddedLine;
import org.oblume.server.truck.PullViews.Counted;
import org.oblume.server.truck.PullViews.PullItem;
import org.oblume.server.truck.PullViews.PullLineView;
import org.oblume.server.truck.PullViews.PullListHead;
import org.oblume.server.truck.PullViews.PullListView;
import org.oblume.server.truck.PullViews.PullSince;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pull lists: made of what is needed, counted out of the store and back into it by whoever has a phone. */
@Service
@Transactional
public class PullService {

    private static final int MOST_LINES = 500;
    private static final int LONGEST = 120;
    private final PullListRepository lists;
    private final PullLineRepository lines;
    private final KitNeeds needs;
    private final ProductionService productions;
    private final SceneService scenes;
    private final SetService sets;
    private final StoredScenes records;
    private final RecordJson json;
    private final Clock clock;

    PullService(
            PullListRepository lists,
            PullLineRepository lines,
            KitNeeds needs,
            ProductionService productions,
            SceneService scenes,
            SetService sets,
            StoredScenes records,
            RecordJson json,
            Clock clock) {
        this.lists = lists;
        this.lines = lines;
        this.needs = needs;
        this.productions = productions;
        this.scenes = scenes;
        this.sets = sets;
        this.records = records;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<PullListHead> ofProduction(long productionId) {
        productions.get(productionId);
        List<PullListEntity> all = lists.findByProductionIdOrderByIdDesc(productionId);
        Map<Long, List<PullLineEntity>> byList =
                lines
                        .findByListIdInOrderByPlaceInList(
                                all.stream().map(PullListEntity::id).toList())
                        .stream()
                        .collect(Collectors.groupingBy(PullLineEntity::listId));
        return all.stream()
                .map(list -> head(list, byList.getOrDefault(list.id(), List.of())))
                .toList();
    }

    private PullListHead head(PullListEntity list, List<PullLineEntity> rows) {
        PullSubject subject = subject(list);
        return new PullListHead(
                list.id(),
                subject,
                title(subject),
                list.madeAt(),
                list.madeBy(),
                rows.size(),
                rows.stream().mapToInt(r -> r.count().toTake()).sum(),
                rows.stream().mapToInt(r -> r.count().missing()).sum(),
                list.wrappedAt());
    }

    private PullSubject subject(PullListEntity list) {
        return json.read(list.subject(), PullSubject.class);
    }

    private String title(PullSubject subject) {
        if (subject.day() != null) {
            return "Day %d".formatted(subject.day());
        }
        return subject.sceneId() != null
                ? "Sc. %s".formatted(scenes.get(subject.sceneId()).heading().number())
                : sets.get(Objects.requireNonNull(subject.setId())).set().name();
    }

    /** @throws Refusal when nothing is needed, or nothing of it is there */
    long make(long productionId, PullSubject subject, String author) {
        PullDraft draft = draft(productionId, subject);
        if (draft.lines().isEmpty()) {
            throw new Refusal(
                    draft.notThere().isEmpty()
                            ? "%s needs nothing of the kit: put shots on it, or record what stands in them."
                                    .formatted(title(subject))
                            : "Nothing that %s needs is in the kit: say first what there is."
                                    .formatted(title(subject)));
        }
        PullListEntity list =
                lists.saveAndFlush(new PullListEntity(productionId, json.write(subject), clock.instant(), author));
        for (int i = 0; i < draft.lines().size(); i++) {
            PullDraft.DraftLine line = draft.lines().get(i);
            lines.save(new PullLineEntity(list.id(), i, json.write(line.item()), line.wanted()));
        }
        return list.id();
    }

    private PullDraft draft(long productionId, PullSubject subject) {
        KitNeeds.DayKit kit;
        if (subject.day() != null) {
            kit = needs.ofDay(productionId, subject.day());
        } else {
            List<RecordedShot> shots = new ArrayList<>();
            for (Scene scene : ofSubject(productionId, subject)) {
                StoredScene record = records.of(scene.id());
                record.shots().forEach(s -> shots.add(record.recorded(s.id())));
            }
            kit = needs.beside(
                    new DayUse.OnDate(0, null, List.of(), List.of()), needs.ofShots(shots), needs.there(productionId));
        }
        PullDraft draft = PullDraft.of(kit.kit(), kit.inventory());
        if (draft.lines().size() > MOST_LINES) {
            throw new Refusal("A pull list has %d lines at most: make one for each scene.".formatted(MOST_LINES));
        }
        return draft;
    }

    private List<Scene> ofSubject(long productionId, PullSubject subject) {
        List<Scene> all = subject.sceneId() != null
                ? List.of(scenes.get(subject.sceneId()))
                : scenes.inSet(Objects.requireNonNull(subject.setId()));
        List<Scene> mine =
                all.stream().filter(s -> s.productionId() == productionId).toList();
        if (mine.isEmpty()) {
            throw new NotFoundException("This production has no such scene or set.");
        }
        return mine;
    }

    @Transactional(readOnly = true)
    public PullListView view(long id) {
        PullListEntity list = list(id);
        PullSubject subject = subject(list);
        List<PullLineEntity> rows = lines.findByListIdInOrderByPlaceInList(List.of(id));
        List<PullLineView> views = rows.stream().map(this::view).toList();
        PullListHead head = head(list, rows);
        return new PullListView(
                id,
                list.productionId(),
                subject,
                head.title(),
                list.madeAt(),
                list.madeBy(),
                views,
                list.wrappedAt(),
                list.wrappedBy(),
                head.toTake(),
                head.missing());
    }

    /** What the plots want by now beside what is on a list; of a wrapped one nothing is told. */
    @Transactional(readOnly = true)
    public PullSince since(long id) {
        PullListEntity list = list(id);
        if (list.wrappedAt() != null) {
            return new PullSince(List.of(), List.of());
        }
        PullDraft now = draft(list.productionId(), subject(list));
        return new PullSince(
                now.notThere(),
                since(
                        now,
                        lines.findByListIdInOrderByPlaceInList(List.of(id)).stream()
                                .map(this::view)
                                .toList()));
    }

    private PullLineView view(PullLineEntity row) {
        PullCount count = row.count();
        return new PullLineView(
                row.id(),
                row.version(),
                json.read(row.line(), PullItem.class),
                count.wanted(),
                count.out(),
                count.back(),
                count.missing(),
                row.author(),
                row.at());
    }

    /** What the plots want by now and the list does not say. */
    private static List<Phrase> since(PullDraft now, List<PullLineView> lines) {
        Map<String, Integer> listed = new HashMap<>();
        lines.forEach(l -> listed.merge(new PullDraft.DraftLine(l.item(), 0).key(), l.wanted(), Integer::sum));
        List<Phrase> all = new ArrayList<>();
        for (PullDraft.DraftLine line : now.lines()) {
            int more = line.wanted() - listed.getOrDefault(line.key(), 0);
            if (more > 0) {
                all.add(Phrase.format("%d more %s", more, called(line.item())));
            }
        }
        return all;
    }

    private static Phrase called(PullItem item) {
        return item.unit() == null ? item.what() : Phrase.format("%s, %s", item.unit(), item.what());
    }

    private PullListEntity list(long id) {
        return lists.findById(id).orElseThrow(() -> new NotFoundException("There is no such pull list any more."));
    }

    private PullListEntity open(long id) {
        PullListEntity list = list(id);
        if (list.wrappedAt() != null) {
            throw new Refusal("This list is wrapped: open it again to count on it.");
        }
        return list;
    }

    /** Puts onto a list what the plots want by now; what is on it stays, as it was counted. */
    void takeUp(long id) {
        PullListEntity list = open(id);
        List<PullLineEntity> rows = lines.findByListIdInOrderByPlaceInList(List.of(id));
        Map<String, PullLineEntity> listed = new HashMap<>();
        rows.forEach(r -> listed.put(new PullDraft.DraftLine(json.read(r.line(), PullItem.class), 0).key(), r));
        int place = rows.size();
        for (PullDraft.DraftLine line :
                draft(list.productionId(), subject(list)).lines()) {
            PullLineEntity row = listed.get(line.key());
            if (row == null) {
                lines.save(new PullLineEntity(id, place++, json.write(line.item()), line.wanted()));
            } else if (row.count().wanted() < line.wanted()) {
                lines.save(row.wanting(line.wanted()));
            }
        }
    }

    /** Puts something onto a list that no plot knows of. */
    void add(long id, AddedLine added) {
        open(id);
        String what = Checks.text("What is pulled", added.what(), LONGEST);
        if (added.wanted() < 1) {
            throw new Refusal("wanted", "How many? Give 1 or more.");
        }
        int number = lines.findByListIdInOrderByPlaceInList(List.of(id)).size();
        if (number >= MOST_LINES) {
            throw new Refusal("A pull list has %d lines at most.".formatted(MOST_LINES));
        }
        PullCount count = new PullCount(added.wanted(), 0, 0);
        lines.save(new PullLineEntity(
                id,
                number,
                json.write(new PullItem(Phrase.of(what), null, null, null, "added by hand")),
                count.wanted()));
    }

    /**
     * Counts a line.
     *
     * @throws EditConflict when somebody else counted it since that version
     */
    void count(long id, long lineId, Counted counted, long version, String author) {
        open(id);
        PullLineEntity row = lines.findById(lineId)
                .filter(l -> l.listId() == id)
                .orElseThrow(() -> new NotFoundException("That is not on the list any more."));
        if (row.version() != version) {
            throw new EditConflict(
                    "%s counted it since you saw it: %d out, %d back. Look again, and count what is really there."
                            .formatted(
                                    row.author() == null ? "Someone" : row.author(),
                                    row.count().out(),
                                    row.count().back()),
                    view(row));
        }
        lines.saveAndFlush(row.counted(
                new PullCount(row.count().wanted(), counted.out(), counted.back()), author, clock.instant()));
    }

    /** Says that a list is over; what is not back stays missing on it. */
    void wrap(long id, boolean over, String author) {
        PullListEntity list = list(id);
        list.wrap(over ? clock.instant() : null, over ? author : null);
        lists.save(list);
    }

    /** @throws Refusal when something of it is out */
    void remove(long id) {
        PullListEntity list = list(id);
        int missing =
                head(list, lines.findByListIdInOrderByPlaceInList(List.of(id))).missing();
        if (missing > 0) {
            throw new Refusal("%d of it are out and not counted back: count them back, or wrap the list and keep it."
                    .formatted(missing));
        }
        lists.delete(list);
    }
}
