package org.oblume.server.shot;

import java.text.Normalizer;
import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.carry.ValueKey;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.StartValues;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.scene.PlacementCard;
import org.oblume.server.scene.SceneService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The plot of a shot: everything on it in one go, a change tried on it, one thing more placed on it. */
@Service
@Transactional(readOnly = true)
public class PlotService {

    private final ShotService shots;
    private final StoredScenes records;
    private final SceneService scenes;
    private final KnotService tying;
    private final KnotRepository knots;
    private final HistoryService history;
    private final Clock clock;

    PlotService(
            ShotService shots,
            StoredScenes records,
            SceneService scenes,
            KnotService tying,
            KnotRepository knots,
            HistoryService history,
            Clock clock) {
        this.history = history;
        this.shots = shots;
        this.records = records;
        this.scenes = scenes;
        this.tying = tying;
        this.knots = knots;
        this.clock = clock;
    }

    PlotView plot(long shotId, String author) {
        Shot shot = shots.get(shotId);
        return view(shot, records.withAncestors(shot), null, history.mine(shotId, author));
    }

    /** How the shot was when a revision of it was closed; to read, not to edit. */
    PlotView asOf(long shotId, long lastEvent) {
        Shot shot = shots.get(shotId);
        return view(shot, records.asOf(shot, lastEvent), lastEvent, new PlotView.Mine(null, null));
    }

    private PlotView view(Shot shot, StoredScene record, @Nullable Long asOf, PlotView.Mine mine) {
        ShotCard card = shot.card();
        CarryBook book = record.record().book();
        PlotView.ShotHead head = new PlotView.ShotHead(
                shot.id(),
                card.slate(),
                card.description(),
                card.day(),
                card.stage(),
                card.basedOnId(),
                record.slate(card.basedOnId()),
                book.basedOn(card.slate()),
                shot.version(),
                shot.revision(),
                shot.lit(),
                shot.shot(),
                asOf);
        return new PlotView(
                record.scene().id(),
                record.scene().heading(),
                record.drawn(),
                head,
                mine,
                placements(shot, record).views());
    }

    /** What placements look like in a shot, for other views of it. */
    public List<PlacedView> placed(Shot shot, StoredScene record) {
        return placements(shot, record).views();
    }

    /** What some placements would look like with changes that are not kept. */
    public List<PlacedView> tried(Shot shot, StoredScene record, SceneRecord tried, ShotState state, Set<String> keys) {
        Placements would = new Placements(tried, state, revisions(shot, record), versions(record));
        return tried.placements().stream()
                .filter(p -> keys.contains(p.key()))
                .map(would::view)
                .toList();
    }

    /** Places one thing more in the scene, standing from this shot on, with values to start from. */
    @Transactional
    public String place(long shotId, NewPlacement wanted, String author) {
        Shot shot = shots.get(shotId);
        scenes.lockForUpdate(shot.sceneId());
        StoredScene record = records.of(shot.sceneId());
        Slate slate = shot.card().slate();
        record.record().book().requireReason(slate, wanted.reason());
        record.record()
                .book()
                .refuseChangingWhatWasShot(slate, new ValueKey(keyFor(wanted.name()), Attribute.STANDING));
        Placement placement = new Placement(
                keyFor(wanted.name()),
                wanted.name(),
                wanted.kind(),
                wanted.role(),
                wanted.motivation(),
                wanted.piece());
        record.set().plan().check(placement, wanted.place());
        PlacedPiece placed = scenes.place(shot.sceneId(), placement);
        StoredScene now = records.of(shot.sceneId());
        tying.recordAll(
                now,
                startKnots(
                        slate,
                        placed.placement(),
                        wanted.place(),
                        wanted.beamDeg(),
                        placement.kind() == PlacementKind.MARK ? null : firstMark(now, slate),
                        wanted.stack() == null ? Modifiers.NONE : wanted.stack(),
                        wanted.reason(),
                        author));
        return placed.placement().key();
    }

    /** Places another of what is placed already, with all that holds of it in this shot, somewhere else. */
    @Transactional
    public String copy(long shotId, String key, Copy wanted, String author) {
        Shot shot = shots.get(shotId);
        scenes.lockForUpdate(shot.sceneId());
        StoredScene record = records.of(shot.sceneId());
        Slate slate = shot.card().slate();
        Placement of = record.record().placement(key);
        record.record().book().requireReason(slate, wanted.reason());
        record.record()
                .book()
                .refuseChangingWhatWasShot(slate, new ValueKey(keyFor(wanted.name()), Attribute.STANDING));
        Piece piece = of.piece();
        Piece another = piece.as(null);
        Placement placement = new Placement(
                keyFor(wanted.name()), wanted.name(), of.kind(), of.role(), of.motivation(), another, of.group(), null);
        record.set().plan().check(placement, wanted.place());
        Attribution tie = new Attribution(wanted.reason(), null, author, clock.instant(), 1);
        List<Knot> tied = new ArrayList<>();
        for (Knot knot : record.record().book().resolve(slate).knots(key)) {
            AttributeValue value = knot.value() instanceof Place
                    ? wanted.place()
                    : knot.value() instanceof Patch ? Patch.BY_HAND : knot.value();
            tied.add(new Knot(slate, placement.key(), value, tie));
        }
        scenes.place(shot.sceneId(), placement);
        tying.recordAll(records.of(shot.sceneId()), tied);
        return placement.key();
    }

    /** Knots that put a placement on set with the values it starts from. */
    public List<Knot> startKnots(
            Slate slate,
            Placement placement,
            Place place,
            double beamDeg,
            @Nullable String mark,
            Modifiers stack,
            @Nullable Reason reason,
            String author) {
        Attribution tie = new Attribution(reason, null, author, clock.instant(), 1);
        List<Knot> tied = new ArrayList<>();
        for (AttributeValue value : StartValues.of(placement, place, beamDeg, mark, stack)) {
            tied.add(new Knot(slate, placement.key(), value, tie));
        }
        return tied;
    }

    @Transactional
    public void describe(long shotId, String key, PlacementCard card, long version) {
        scenes.describe(shots.get(shotId).sceneId(), key, card, version);
    }

    private Placements placements(Shot shot, StoredScene record) {
        return new Placements(
                record.record(),
                record.record().book().resolve(shot.card().slate()),
                revisions(shot, record),
                versions(record));
    }

    private static Map<String, Long> versions(StoredScene record) {
        return record.placed().stream()
                .collect(Collectors.toMap(p -> p.placement().key(), PlacedPiece::version));
    }

    private Map<String, Map<Attribute, Long>> revisions(Shot shot, StoredScene record) {
        Map<Long, String> keys = record.placed().stream()
                .collect(Collectors.toMap(PlacedPiece::id, p -> p.placement().key()));
        Map<String, Map<Attribute, Long>> revisions = new HashMap<>();
        for (KnotEntity row : knots.findByShotIdInOrderById(List.of(shot.id()))) {
            revisions
                    .computeIfAbsent(keys.get(row.placementId()), k -> new EnumMap<>(Attribute.class))
                    .put(row.attribute(), row.revision());
        }
        return revisions;
    }

    private static @Nullable String firstMark(StoredScene record, Slate slate) {
        ShotState state = record.record().book().resolve(slate);
        return record.record().placements().stream()
                .filter(p -> p.kind() == PlacementKind.MARK)
                .map(Placement::key)
                .filter(state::isOnSet)
                .findFirst()
                .orElse(null);
    }

    /** A key from a name: {@code Bench lamp 2} becomes {@code bench-lamp-2}. */
    private static String keyFor(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        return plain.isEmpty() ? "placement-" + Integer.toHexString(name.hashCode()) : plain;
    }
}
