package org.oblume.server.carry;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.light.Trial;
import org.oblume.core.moves.ComparedState;
import org.oblume.core.moves.Differences;
import org.oblume.core.moves.StateTransfer;
import org.oblume.core.say.CommandParser;
import org.oblume.core.say.ParsedCommand;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.kit.KitService;
import org.oblume.server.shot.KnotChange;
import org.oblume.server.shot.KnotService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.TextLimits;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The carry board, and edits that reach over several cells of it: all of them are kept, or none. */
@Service
@Transactional
class CarryService {

    private static final int MOST_CELLS = 2000;
    private final StoredScenes records;
    private final KnotService knots;
    private final KitService kit;
    private final LookService looks;
    private final ComparedStates sides;

    CarryService(StoredScenes records, KnotService knots, KitService kit, LookService looks, ComparedStates sides) {
        this.records = records;
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
    record CellEdit(long shotId, String placement, @Nullable String text, @Nullable Long from) {}

    @Transactional(readOnly = true)
    BoardView board(long sceneId) {
        Board board = new Board(records.of(sceneId));
        return board.view(
                knots.newestEvent(),
                looks.cards(sceneId).stream()
                        .map(card -> board.look(
                                card, sides.side("look-" + card.id()).side().state()))
                        .toList());
    }

    /** @param seen the newest change that the person had in sight */
    void edit(
            long sceneId,
            List<CellEdit> cells,
            @Nullable Reason reason,
            @Nullable String note,
            long seen,
            String author) {
        if (cells.size() > MOST_CELLS) {
            throw new Refusal("cells", "That is more than %d cells at once: paste fewer.".formatted(MOST_CELLS));
        }
        Map<Long, List<CellEdit>> byShot = new LinkedHashMap<>();
        cells.forEach(
                c -> byShot.computeIfAbsent(c.shotId(), s -> new ArrayList<>()).add(c));
        StoredScene scene = records.lockedScene(sceneId);
        for (Shot line : scene.shots()) { // in shooting order, so that what one shot gets carries on to the next
            List<CellEdit> here = byShot.remove(line.id());
            if (here != null) {
                RecordedShot shot = scene.recorded(line.id());
                List<KnotChange> changes = new ArrayList<>();
                here.forEach(cell -> changes.addAll(changes(shot, cell, reason, note, author)));
                knots.requireUnchangedSince(shot, changes, seen);
                scene = knots.change(shot, changes).after().scene();
            }
        }
        if (!byShot.isEmpty()) {
            throw new NotFoundException("One of the shots is not in this scene any more. Nothing was kept.");
        }
    }

    private List<KnotChange> changes(
            RecordedShot shot, CellEdit cell, @Nullable Reason reason, @Nullable String note, String author) {
        SceneRecord scene = shot.record();
        Slate slate = shot.slate();
        ShotState state = shot.state();
        if (cell.from() != null) {
            ComparedState like = sides.shot(cell.from()).side();
            return tied(
                    StateTransfer.changes(
                            new ComparedState(scene, state), like, StateTransfer.Part.WHOLE, List.of(cell.placement())),
                    reason,
                    note,
                    author);
        }
        if (cell.text() == null) {
            return tied(
                    state.knots(cell.placement()).stream()
                            .filter(state::tiedHere)
                            .map(k -> new Change(cell.placement(), k.value()))
                            .toList(),
                    reason,
                    note,
                    author);
        }
        String text = TextLimits.line(cell.text()).strip();
        if (text.isEmpty()) {
            return state.knots(cell.placement()).stream()
                    .filter(state::tiedHere)
                    .map(k -> new KnotChange(cell.placement(), k.attribute(), null, null, null, author, null))
                    .toList();
        }
        String name = scene.placement(cell.placement()).name();
        ParsedCommand said = CommandParser.read(
                text, new CommandParser.Heard(scene, state, kit.stock(), List.of(), cell.placement()));
        if (!said.problems().isEmpty()) {
            throw new Refusal(
                    "text",
                    Phrase.format(
                            "%s in %s: %s", name, slate, said.problems().get(0).sentence()));
        }
        if (!said.asks().isEmpty()) {
            ParsedCommand.Ask ask = said.asks().get(0);
            throw new Refusal(
                    "text",
                    "%s in %s: “%s” could be %s. Say which."
                            .formatted(name, slate, ask.words(), String.join(", ", ask.candidates())));
        }
        if (!said.isOnlyOf(cell.placement())) {
            throw new Refusal(
                    "text", "%s in %s: “%s” is not of this cell. Say it at the plot.".formatted(name, slate, text));
        }
        return tied(
                Trial.of(scene, slate, said.changes(), said.holds(), Set.of(), Map.of())
                        .changes(),
                reason,
                note,
                author);
    }

    private static List<KnotChange> tied(
            List<Change> changes, @Nullable Reason reason, @Nullable String note, String author) {
        return changes.stream()
                .map(c -> new KnotChange(c.placement(), c.attribute(), c.value(), reason, note, author, null))
                .toList();
    }

    /** What making a shot like a look or another shot would change. */
    @Transactional(readOnly = true)
    CompareView.Preview preview(long shotId, String sideId) {
        ComparedStates.NamedState now = sides.shot(shotId);
        ComparedStates.NamedState wanted = sides.side(sideId);
        SceneRecord scene = now.record().record();
        Slate slate = Objects.requireNonNull(now.record().slate(shotId));
        Attribution tie = new Attribution(null, null, wanted.name(), Instant.EPOCH, 1);
        List<Knot> would = taking(now, wanted, null).stream()
                .map(c -> new Knot(slate, c.placement(), c.value(), tie))
                .toList();
        CarryBook after = scene.book().with(would);
        return new CompareView.Preview(
                wanted.name(),
                knots.newestEvent(),
                CompareView.DifferenceView.of(
                        Differences.between(now.side(), new ComparedState(scene.with(after), after.resolve(slate)))));
    }

    /** A look is the light of a scene, not its frame; a shot is taken over whole. */
    private static List<Change> taking(
            ComparedStates.NamedState now, ComparedStates.NamedState wanted, @Nullable List<String> only) {
        return StateTransfer.changes(
                now.side(),
                wanted.side(),
                wanted.shot() == null ? StateTransfer.Part.LIGHT : StateTransfer.Part.WHOLE,
                only);
    }

    /**
     * Makes a shot like a look or another shot, as knots.
     *
     * @param only keys of the things to change, or null for all
     */
    void take(
            long shotId,
            String sideId,
            @Nullable List<String> only,
            @Nullable Reason reason,
            @Nullable String note,
            long seen,
            String author) {
        ComparedStates.NamedState now = sides.shot(shotId);
        ComparedStates.NamedState wanted = sides.side(sideId);
        List<KnotChange> changes = tied(taking(now, wanted, only), reason, note, author);
        if (changes.isEmpty()) {
            throw new Refusal("%s is like %s already: nothing to change.".formatted(now.name(), wanted.name()));
        }
        RecordedShot shot = records.locked(shotId);
        knots.requireUnchangedSince(shot, changes, seen);
        knots.change(shot, changes);
    }

    /** What would be another in a shot, and in those that carry from it, if it were based on another one. */
    @Transactional(readOnly = true)
    List<CompareView.Rebased> rebased(long shotId, @Nullable Long onId) {
        RecordedShot recorded = records.shot(shotId);
        Shot shot = recorded.shot();
        StoredScene record = recorded.scene();
        CarryBook before = record.record().book();
        CarryBook after = before.rebased(shot.card().slate(), record.slate(onId));
        List<CompareView.Rebased> changed = new ArrayList<>();
        for (Slate slate : after.slates()) {
            if (after.chain(slate).contains(shot.card().slate())) {
                changed.add(new CompareView.Rebased(
                        slate,
                        CompareView.DifferenceView.of(Differences.between(
                                new ComparedState(record.record(), before.resolve(slate)),
                                new ComparedState(record.record().with(after), after.resolve(slate))))));
            }
        }
        return changed;
    }
}
