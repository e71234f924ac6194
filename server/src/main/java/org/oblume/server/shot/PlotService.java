package org.oblume.server.shot;

import java.text.Normalizer;
import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.Recording;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Tie;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.StartValues;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.scene.SceneService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The plot of a shot: everything on it in one go, a change tried on it, one thing more placed on it. */
@Service
@Transactional(readOnly = true)
public class PlotService {

    private final ShotService shots;
    private final SceneRecords records;
    private final SceneService scenes;
    private final KnotService tying;
    private final KnotRepository knots;
    private final Clock clock;

    PlotService(ShotService shots, SceneRecords records, SceneService scenes, KnotService tying, KnotRepository knots,
            Clock clock) {
        this.shots = shots;
        this.records = records;
        this.scenes = scenes;
        this.tying = tying;
        this.knots = knots;
        this.clock = clock;
    }

    PlotView plot(long shotId) {
        Shot shot = shots.get(shotId);
        SceneRecord record = records.restingUnder(shot);
        ShotCard card = shot.card();
        CarryBook book = record.recording().book();
        PlotView.ShotHead head = new PlotView.ShotHead(shotId, card.slate(), card.description(), card.day(), card.stage(),
                card.basedOnId(), record.slate(card.basedOnId()), book.basedOn(card.slate()), shot.version());
        return new PlotView(record.scene().id(), record.scene().heading(), record.set().name(), record.set().plan(), head,
                placements(shot, record).views());
    }

    /** What placements look like in a shot, for other views of it. */
    public List<PlacedView> placed(Shot shot, SceneRecord record) {
        return placements(shot, record).views();
    }

    /**
     * How one placement would be with a change that is not kept.
     *
     * @throws org.oblume.core.units.Refusal when the change could not be kept either
     */
    PlacedView preview(long shotId, String placement, AttributeValue value) {
        Shot shot = shots.get(shotId);
        SceneRecord record = records.restingUnder(shot);
        record.recording().check(placement, value);
        String slate = shot.card().slate();
        Tie tie = new Tie(null, null, "tried", clock.instant(), 0);
        Recording tried = KnotService.with(record, slate,
                new KnotChange(placement, Attribute.of(value), value, null, null, tie.author(), 0), tie);
        ShotState state = tried.book().resolve(slate);
        tried.checkColours(state, placement);
        return new Placements(tried, state, revisions(shot, record)).view(tried.placement(placement));
    }

    /** Places one thing more in the scene, standing from this shot on, with values to start from. */
    @Transactional
    public String place(long shotId, NewPlacement wanted, String author) {
        Shot shot = shots.get(shotId);
        scenes.oneChangeAtATime(shot.sceneId());
        SceneRecord record = records.of(shot.sceneId());
        String slate = shot.card().slate();
        record.recording().book().requireReason(slate, wanted.reason());
        record.recording().book().refuseChangingWhatWasShot(slate, wanted.name(), Attribute.STANDING);
        Placement placement = new Placement(keyFor(wanted.name()), wanted.name(), wanted.kind(), wanted.role(),
                wanted.motivation(), wanted.piece());
        record.set().plan().check(placement, wanted.place());
        PlacedPiece placed = scenes.place(shot.sceneId(), placement);
        SceneRecord now = records.of(shot.sceneId());
        tying.keepAll(now, startKnots(slate, placed.placement(), wanted.place(), wanted.beamDeg(),
                firstMark(now, slate), wanted.reason(), author));
        return placed.placement().key();
    }

    /** Knots that put a placement on set with the values it starts from. */
    public List<Knot> startKnots(String slate, Placement placement, Place place, double beamDeg, @Nullable String mark,
            @Nullable Reason reason, String author) {
        Tie tie = new Tie(reason, null, author, clock.instant(), 1);
        List<Knot> tied = new ArrayList<>();
        for (AttributeValue value : StartValues.of(placement, place, beamDeg, mark)) {
            tied.add(new Knot(slate, placement.key(), value, tie));
        }
        return tied;
    }

    private Placements placements(Shot shot, SceneRecord record) {
        return new Placements(record.recording(), record.recording().book().resolve(shot.card().slate()),
                revisions(shot, record));
    }

    private Map<String, Map<Attribute, Long>> revisions(Shot shot, SceneRecord record) {
        Map<Long, String> keys = record.placed().stream()
                .collect(Collectors.toMap(PlacedPiece::id, p -> p.placement().key()));
        Map<String, Map<Attribute, Long>> revisions = new HashMap<>();
        for (KnotEntity row : knots.findByShotIdInOrderById(List.of(shot.id()))) {
            revisions.computeIfAbsent(keys.get(row.placementId()), k -> new EnumMap<>(Attribute.class))
                    .put(row.attribute(), row.revision());
        }
        return revisions;
    }

    private static @Nullable String firstMark(SceneRecord record, String slate) {
        ShotState state = record.recording().book().resolve(slate);
        return record.recording().placements().stream().filter(p -> p.kind() == PlacementKind.MARK)
                .map(Placement::key).filter(state::stands).findFirst().orElse(null);
    }

    /** A key from a name: {@code Bench lamp 2} becomes {@code bench-lamp-2}. */
    private static String keyFor(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD).replaceAll("\\p{M}", "").toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return plain.isEmpty() ? "placement-" + Integer.toHexString(name.hashCode()) : plain;
    }
}
