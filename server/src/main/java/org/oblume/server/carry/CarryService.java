package org.oblume.server.carry;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.Recording;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Tie;
import org.oblume.core.light.Trial;
import org.oblume.core.moves.Differences;
import org.oblume.core.moves.Side;
import org.oblume.core.moves.Taking;
import org.oblume.core.say.Said;
import org.oblume.core.say.SayIt;
import org.oblume.core.units.Refusal;
import org.oblume.server.kit.KitService;
import org.oblume.server.shot.KnotChange;
import org.oblume.server.shot.KnotService;
import org.oblume.server.shot.SceneRecord;
import org.oblume.server.shot.SceneRecords;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The carry board, and edits that reach over several cells of it: all of them are kept, or none. */
@Service
@Transactional
class CarryService {

    private static final int MOST_CELLS = 2000;
    private final SceneRecords records;
    private final ShotService shots;
    private final KnotService knots;
    private final KitService kit;
    private final LookService looks;
    private final Sides sides;

    CarryService(SceneRecords records, ShotService shots, KnotService knots, KitService kit, LookService looks, Sides sides) {
        this.records = records;
        this.shots = shots;
        this.knots = knots;
        this.kit = kit;
        this.looks = looks;
        this.sides = sides;
    }

    /**
     * What one cell becomes. With neither text nor shot, what is tied in it stays and is called by another reason.
     *
     * @param text what would be called out of it: {@code 45% 4300}; empty lets everything in it carry again; or null
     * @param from the shot that it is to be like, or null
     */
    record CellEdit(long shotId, String placement, @Nullable String text, @Nullable Long from) {
    }

    @Transactional(readOnly = true)
    BoardView board(long sceneId) {
        Board board = new Board(records.of(sceneId));
        return board.view(knots.newestEvent(), looks.cards(sceneId).stream()
                .map(card -> board.look(card, sides.side("look-" + card.id()).side().state())).toList());
    }

    /** @param seen the newest change that the person had in sight */
    void edit(long sceneId, List<CellEdit> cells, @Nullable Reason reason, @Nullable String note, long seen, String author) {
        if (cells.size() > MOST_CELLS) {
            throw new Refusal("cells", "That is more than %d cells at once: paste fewer.".formatted(MOST_CELLS));
        }
        Map<Long, List<CellEdit>> byShot = new LinkedHashMap<>();
        cells.forEach(c -> byShot.computeIfAbsent(c.shotId(), s -> new ArrayList<>()).add(c));
        for (Shot shot : records.of(sceneId).shots()) { // in shooting order, so that what one shot gets carries on to the next
            List<CellEdit> here = byShot.remove(shot.id());
            if (here != null) {
                List<KnotChange> changes = new ArrayList<>();
                SceneRecord record = records.restingUnder(shot);
                here.forEach(cell -> changes.addAll(changes(record, shot, cell, reason, note, author)));
                knots.requireUnchangedSince(shot.id(), changes, seen);
                knots.change(shot.id(), changes);
            }
        }
        if (!byShot.isEmpty()) {
            throw new NoSuchElementException("One of the shots is not in this scene any more. Nothing was kept.");
        }
    }

    private List<KnotChange> changes(SceneRecord record, Shot shot, CellEdit cell, @Nullable Reason reason, @Nullable String note, String author) {
        Recording recording = record.recording();
        String slate = shot.card().slate();
        ShotState state = recording.book().resolve(slate);
        if (cell.from() != null) {
            Side like = sides.shot(cell.from()).side();
            return tied(Taking.changes(new Side(recording, state), like, Taking.Part.WHOLE, List.of(cell.placement())), reason, note, author);
        }
        if (cell.text() == null) {
            return tied(state.knots(cell.placement()).stream().filter(state::tiedHere).map(k -> new Change(cell.placement(), k.value())).toList(), reason, note, author);
        }
        String text = cell.text().strip();
        if (text.isEmpty()) {
            return state.knots(cell.placement()).stream().filter(state::tiedHere)
                    .map(k -> new KnotChange(cell.placement(), k.attribute(), null, null, null, author, KnotChange.WHATEVER)).toList();
        }
        String name = recording.placement(cell.placement()).name();
        Said said = SayIt.read(name + " " + text, recording, state, kit.stock());
        if (!said.problems().isEmpty()) {
            throw new Refusal("text", "%s in %s: %s".formatted(name, slate, said.problems().get(0).sentence()));
        }
        return tied(Trial.of(recording, slate, said.changes(), said.holds(), Set.of(), Map.of()).changes(), reason, note, author);
    }

    private static List<KnotChange> tied(List<Change> changes, @Nullable Reason reason, @Nullable String note, String author) {
        return changes.stream().map(c -> new KnotChange(c.placement(), c.attribute(), c.value(), reason, note, author, KnotChange.WHATEVER)).toList();
    }

    /** What making a shot like a look or another shot would change. */
    @Transactional(readOnly = true)
    CompareView.Preview preview(long shotId, String sideId) {
        Sides.NamedSide now = sides.shot(shotId);
        Sides.NamedSide wanted = sides.side(sideId);
        Recording recording = now.record().recording();
        Tie tie = new Tie(null, null, wanted.name(), Instant.EPOCH, 1);
        List<Knot> would = taking(now, wanted, null).stream().map(c -> new Knot(now.name(), c.placement(), c.value(), tie)).toList();
        CarryBook after = recording.book().with(would);
        return new CompareView.Preview(wanted.name(), knots.newestEvent(),
                CompareView.Changed.of(Differences.between(now.side(), new Side(recording.with(after), after.resolve(now.name())))));
    }

    /** A look is the light of a scene, not its frame; a shot is taken over whole. */
    private static List<Change> taking(Sides.NamedSide now, Sides.NamedSide wanted, @Nullable List<String> only) {
        return Taking.changes(now.side(), wanted.side(), wanted.shot() == null ? Taking.Part.LIGHT : Taking.Part.WHOLE, only);
    }

    /** Makes a shot like a look or another shot, as knots. @param only keys of the things to change, or null for all */
    void take(long shotId, String sideId, @Nullable List<String> only, @Nullable Reason reason, @Nullable String note, long seen, String author) {
        Sides.NamedSide now = sides.shot(shotId);
        Sides.NamedSide wanted = sides.side(sideId);
        List<KnotChange> changes = tied(taking(now, wanted, only), reason, note, author);
        if (changes.isEmpty()) {
            throw new Refusal("%s is like %s already: nothing to change.".formatted(now.name(), wanted.name()));
        }
        knots.requireUnchangedSince(shotId, changes, seen);
        knots.change(shotId, changes);
    }

    /** What would be another in a shot, and in those that carry from it, if it were based on another one. */
    @Transactional(readOnly = true)
    List<CompareView.Rebased> rebased(long shotId, @Nullable Long onId) {
        Shot shot = shots.get(shotId);
        SceneRecord record = records.of(shot.sceneId());
        CarryBook before = record.recording().book();
        CarryBook after = before.rebased(shot.card().slate(), record.slate(onId));
        List<CompareView.Rebased> changed = new ArrayList<>();
        for (String slate : after.slates()) {
            if (after.chain(slate).contains(shot.card().slate())) {
                changed.add(new CompareView.Rebased(slate, CompareView.Changed.of(Differences.between(new Side(record.recording(), before.resolve(slate)),
                        new Side(record.recording().with(after), after.resolve(slate))))));
            }
        }
        return changed;
    }
}
