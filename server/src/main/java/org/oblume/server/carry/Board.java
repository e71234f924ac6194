package org.oblume.server.carry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Lanes;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.colour.CameraWhite;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SourceColour;
import org.oblume.core.moves.ChangePhrases;
import org.oblume.core.moves.ComparedState;
import org.oblume.core.moves.Department;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Phrase;
import org.oblume.server.carry.BoardView.BoardCell;
import org.oblume.server.carry.BoardView.BoardKnot;
import org.oblume.server.carry.BoardView.BoardRow;
import org.oblume.server.carry.BoardView.BoardShot;
import org.oblume.server.carry.BoardView.BoardThread;
import org.oblume.server.carry.BoardView.BoardThread.State;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;

/** Lays out what a scene's shots hold: each resolved once, then row by row only what is another than in the shot before. */
final class Board {

    private static final BoardThread NOTHING = new BoardThread(-1, State.ABSENT, null);
    private final StoredScene record;
    private final SceneRecord scene;
    private final List<Slate> slates;
    private final List<ComparedState> sides = new ArrayList<>();
    private final List<CameraWhite> whites = new ArrayList<>();
    private final Map<Slate, Integer> indexes = new HashMap<>();
    /** Thousands of cells share a few colours. */
    private final Map<List<Object>, String> swatches = new HashMap<>();

    private final Map<String, Map<Slate, List<Knot>>> tied = new HashMap<>();

    Board(StoredScene record) {
        this.record = record;
        this.scene = record.record();
        CarryBook book = scene.book();
        this.slates = book.slates();
        Map<Slate, ShotState> states = book.resolveAll();
        for (Slate slate : slates) {
            ShotState state = Objects.requireNonNull(states.get(slate));
            indexes.put(slate, sides.size());
            sides.add(new ComparedState(scene, state));
            whites.add(ShotLighting.white(scene.placements(), state).camera());
        }
        record.knots().forEach(k -> tied.computeIfAbsent(k.placement(), p -> new HashMap<>())
                .computeIfAbsent(k.slate(), s -> new ArrayList<>())
                .add(k));
    }

    BoardView view(long seen, List<BoardView.BoardLook> looks) {
        Map<Slate, Integer> lanes = Lanes.of(scene.book());
        List<BoardShot> shots = slates.stream()
                .map(slate -> shot(record.shot(slate), Objects.requireNonNull(lanes.get(slate))))
                .toList();
        return new BoardView(
                record.scene().id(),
                record.scene().productionId(),
                record.scene().heading(),
                seen,
                1 + lanes.values().stream().mapToInt(l -> l).max().orElse(0),
                shots,
                scene.placements().stream()
                        .sorted(Comparator.comparingInt(this::rank))
                        .map(this::row)
                        .toList(),
                looks);
    }

    private BoardShot shot(Shot shot, int lane) {
        return new BoardShot(
                shot.id(),
                shot.card().slate(),
                shot.card().description(),
                shot.card().day(),
                shot.card().stage(),
                record.slate(shot.card().basedOnId()),
                lane,
                shot.version(),
                shot.revision(),
                shot.lit(),
                shot.shot());
    }

    /** The frame first, the camera before its marks; then the scene's build order. */
    private int rank(Placement placement) {
        return placement.kind() == PlacementKind.CAMERA
                ? -1
                : record.scene().heading().buildOrder().rank(placement.role());
    }

    private BoardRow row(Placement placement) {
        List<BoardThread> now = new ArrayList<>();
        List<BoardThread> changes = new ArrayList<>();
        List<BoardCell> cells = new ArrayList<>();
        for (int i = 0; i < slates.size(); i++) {
            @Nullable Slate basedOn = scene.book().node(slates.get(i)).basedOn();
            BoardThread thread = thread(placement, i);
            BoardThread before = basedOn == null
                    ? NOTHING
                    : now.get(Objects.requireNonNull(indexes.get(basedOn)) < i ? indexes.get(basedOn) : i - 1);
            now.add(thread);
            if (thread.state() != before.state() || !Objects.equals(thread.swatch(), before.swatch())) {
                changes.add(thread);
            }
            List<Knot> knots = tied.getOrDefault(placement.key(), Map.of()).getOrDefault(slates.get(i), List.of());
            if (!knots.isEmpty()) {
                int shot = i;
                cells.add(new BoardCell(
                        i,
                        knots.stream()
                                .sorted(Comparator.comparing(Knot::attribute))
                                .map(k -> knot(shot, basedOn, k))
                                .toList()));
            }
        }
        String swatch = now.stream()
                .map(BoardThread::swatch)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
        return new BoardRow(placement, Department.of(placement), swatch, changes, cells);
    }

    private BoardThread thread(Placement placement, int shot) {
        RecordedState state = sides.get(shot).state();
        String key = placement.key();
        State on = !state.isOnSet(key)
                ? State.ABSENT
                : state.value(key, SetStatus.class).map(SetStatus::state).orElse(SetStatus.State.ON)
                                == SetStatus.State.OFF
                        ? State.OFF
                        : State.ON;
        return new BoardThread(
                shot,
                on,
                on == State.ABSENT || !placement.kind().shines() ? null : swatch(placement, state, whites.get(shot)));
    }

    /** What a look has of each light. */
    BoardView.BoardLook look(BoardView.LookCard card, RecordedState state) {
        CameraWhite white = ShotLighting.white(scene.placements(), state).camera();
        return new BoardView.BoardLook(
                card,
                scene.placements().stream()
                        .filter(p -> p.kind().shines() && state.placements().contains(p.key()))
                        .map(p -> {
                            String off = !state.isOnSet(p.key())
                                    ? "out"
                                    : state.value(p.key(), SetStatus.class)
                                            .filter(s -> s.state() == SetStatus.State.OFF)
                                            .map(s -> "off")
                                            .orElse(null);
                            String say = off != null
                                    ? off
                                    : Stream.of(
                                                    state.value(p.key(), Level.class)
                                                            .map(Level::say),
                                                    state.value(p.key(), ColourTemperature.class)
                                                            .map(ColourTemperature::say))
                                            .flatMap(Optional::stream)
                                            .collect(Collectors.joining("  "));
                            return new BoardView.LookCell(p.key(), say, off != null ? null : swatch(p, state, white));
                        })
                        .toList());
    }

    private @Nullable String swatch(Placement placement, RecordedState state, CameraWhite white) {
        List<Modifier> items = state.value(placement.key(), Modifiers.class)
                .orElse(Modifiers.NONE)
                .items();
        return SourceColour.of(placement, state)
                .map(lamp -> swatches.computeIfAbsent(
                        List.of(lamp, items, white),
                        c -> lamp.leaving(items).seenBy(white).hex()))
                .orElse(null);
    }

    private BoardKnot knot(int shot, @Nullable Slate basedOn, Knot knot) {
        Attribute attribute = knot.attribute();
        @Nullable
        ComparedState before = basedOn == null ? null : sides.get(Objects.requireNonNull(indexes.get(basedOn)));
        @Nullable
        AttributeValue was = before == null
                ? null
                : before.state().value(knot.placement(), attribute).orElse(null);
        Phrase words = before == null
                ? ChangePhrases.say(scene, knot.value())
                : ChangePhrases.of(before, knot.placement(), sides.get(shot), knot.placement(), attribute);
        return new BoardKnot(
                attribute,
                attribute.label(),
                ChangePhrases.say(scene, knot.value()),
                ChangePhrases.brief(was, knot.value()),
                was == null ? null : ChangePhrases.say(scene, was),
                words,
                knot.attribution().reason(),
                knot.attribution().note(),
                knot.attribution().author(),
                knot.attribution().at());
    }
}
