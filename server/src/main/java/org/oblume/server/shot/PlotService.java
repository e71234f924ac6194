package org.oblume.server.shot;

import java.text.Normalizer;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
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
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Arrange;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetPlan.Opening;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.StartValues;
import org.oblume.core.reach.Reach;
import org.oblume.core.units.Refusal;
import org.oblume.server.scene.PlacementCard;
import org.oblume.server.scene.SceneService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The plot of a shot: everything on it in one go, a change tried on it, one thing more placed on it. */
@Service
@Transactional(readOnly = true)
public class PlotService {

    private final StoredScenes records;
    private final SceneService scenes;
    private final KnotService tying;
    private final HistoryService history;
    private final ConfirmationService confirmations;
    private final Clock clock;

    PlotService(
            StoredScenes records,
            SceneService scenes,
            KnotService tying,
            HistoryService history,
            ConfirmationService confirmations,
            Clock clock) {
        this.confirmations = confirmations;
        this.history = history;
        this.records = records;
        this.scenes = scenes;
        this.tying = tying;
        this.clock = clock;
    }

    PlotView plot(long shotId, String author) {
        return view(records.shot(shotId), null, history.mine(shotId, author));
    }

    /** How the shot was when a revision of it was closed; to read, not to edit. */
    PlotView asOf(long shotId, long lastEvent) {
        return view(records.asOf(shotId, lastEvent), lastEvent, new PlotView.Mine(null, null));
    }

    /** What an edit changed. */
    PlotEdit edited(RecordedShot before, RecordedShot after, String author) {
        List<PlacedView> changed = changed(before, after);
        after.scene().takeOverViews(before, after, changed);
        return new PlotEdit(head(after, null), history.mine(after.shot().id(), author), changed);
    }

    /** What is another than before: a thing itself, what is aimed at it, and all of the swatches when the camera sees otherwise. */
    private static List<PlacedView> changed(RecordedShot before, RecordedShot after) {
        Set<String> touched = after.record().placements().stream()
                .filter(p -> isTouched(p, before, after))
                .map(Placement::key)
                .collect(Collectors.toSet());
        boolean seenOtherwise = after.record().placements().stream()
                .anyMatch(p -> p.kind() == PlacementKind.CAMERA && touched.contains(p.key()));
        Placements views = new Placements(after);
        return after.record().placements().stream()
                .filter(p -> seenOtherwise
                        || touched.contains(p.key())
                        || after.state()
                                .value(p.key(), AimSetting.class)
                                .map(AimSetting::mark)
                                .filter(touched::contains)
                                .isPresent())
                .map(views::view)
                .toList();
    }

    private static boolean isTouched(Placement placement, RecordedShot before, RecordedShot after) {
        String key = placement.key();
        return !List.copyOf(before.state().knots(key))
                        .equals(List.copyOf(after.state().knots(key)))
                || looked(before, key) != looked(after, key)
                || !Objects.equals(before.scene().piece(key), after.scene().piece(key))
                || !before.scene()
                        .revisions(before.shot().id(), key)
                        .equals(after.scene().revisions(after.shot().id(), key));
    }

    /** How many of its values were looked at in the shot. */
    private static long looked(RecordedShot shot, String key) {
        return shot.state().knots(key).stream()
                .filter(k -> shot.scene()
                        .confirmations()
                        .here(shot.state(), key, k.attribute())
                        .isPresent())
                .count();
    }

    private static PlotView view(RecordedShot shot, @Nullable Long asOf, PlotView.Mine mine) {
        StoredScene scene = shot.scene();
        return new PlotView(
                scene.scene().id(), scene.scene().heading(), scene.drawn(), head(shot, asOf), mine, scene.views(shot));
    }

    private static PlotView.ShotHead head(RecordedShot recorded, @Nullable Long asOf) {
        Shot shot = recorded.shot();
        ShotCard card = shot.card();
        return new PlotView.ShotHead(
                shot.id(),
                card.slate(),
                card.description(),
                card.day(),
                card.stage(),
                card.basedOnId(),
                recorded.scene().slate(card.basedOnId()),
                recorded.record().book().basedOn(card.slate()),
                shot.version(),
                shot.revision(),
                shot.lit(),
                shot.shot(),
                asOf);
    }

    /** What placements look like in a shot, for other views of it. */
    public List<PlacedView> placed(RecordedShot shot) {
        return shot.scene().views(shot);
    }

    /** What some placements would look like with changes that are not kept. */
    public List<PlacedView> tried(RecordedShot shot, SceneRecord tried, ShotState state, Set<String> keys) {
        Placements would = new Placements(shot, tried, state);
        return tried.placements().stream()
                .filter(p -> keys.contains(p.key()))
                .map(would::view)
                .toList();
    }

    /**
     * The place that a measure gives.
     *
     * @throws Refusal when it is of something else than a place, or gives none
     */
    AttributeValue measured(long shotId, String placement, Attribute attribute, MeasuredBody body) {
        if (attribute != Attribute.PLACE) {
            throw new Refusal(
                    "measured", "Only a place is measured: give the %s as a value.".formatted(attribute.label()));
        }
        return body.place(records.shot(shotId), placement);
    }

    /**
     * Places one thing more in the scene, standing from this shot on, with values to start from.
     *
     * @param said what holds in the place of those, one of an attribute
     */
    @Transactional
    public KeptPlacement place(long shotId, NewPlacement wanted, List<AttributeValue> said, String author) {
        RecordedShot before = records.locked(shotId);
        SetPlan set = before.record().set();
        @Nullable Opening opening = wanted.opening() == null ? null : set.opening(wanted.opening());
        Placement placement = new Placement(
                wanted.key() == null ? keyFor(wanted.name()) : wanted.key(),
                wanted.key() == null ? wanted.name() : freeName(before, wanted.name()),
                wanted.kind(),
                wanted.role(),
                wanted.motivation(),
                opening == null ? wanted.standing() : opening.asPiece(wanted.piece()));
        if (wanted.place() != null && wanted.measured() != null) {
            throw new Refusal("measured", "Say where it is drawn or how it was measured, one of the two.");
        }
        List<AttributeValue> starts = !placement.kind().isThing()
                ? List.of(SetStatus.ON, wanted.state())
                : opening != null
                        ? StartValues.ofDaylight(placement, opening, set.tapeWalls())
                        : wanted.place() == null
                                ? asItStands(before, wanted.measured())
                                : planned(before, placement, wanted, wanted.place());
        List<AttributeValue> values = new ArrayList<>(starts);
        said.forEach(v -> {
            values.removeIf(s -> s.getClass() == v.getClass());
            values.add(v);
        });
        refuseUnlessItMayStand(before, placement, values, wanted.reason());
        scenes.place(before.shot().sceneId(), placement);
        KeptPlacement kept =
                keep(before, placement, startKnots(before.slate(), placement, values, wanted.reason(), author));
        return wanted.place() == null && opening == null && placement.kind().isThing()
                ? new KeptPlacement(kept.key(), before, confirmations.confirmAll(kept.after(), kept.key(), author))
                : kept;
    }

    /** What is known of a thing that somebody found on set. */
    private static List<AttributeValue> asItStands(RecordedShot shot, @Nullable MeasuredBody measured) {
        return measured == null ? List.of(SetStatus.ON) : List.of(SetStatus.ON, measured.place(shot, null));
    }

    /** What a thing that is drawn starts from, apart from what stands there. */
    private static List<AttributeValue> planned(
            RecordedShot shot, Placement placement, NewPlacement wanted, Place place) {
        List<PlanPoint> taken = shot.record().placements().stream()
                .filter(p -> shot.state().isOnSet(p.key()))
                .flatMap(p -> shot.state().value(p.key(), Place.class).map(Place::point).stream())
                .toList();
        return StartValues.of(
                placement,
                Arrange.apart(place, taken, shot.record().set()),
                wanted.beamDeg(),
                placement.kind() == PlacementKind.MARK ? null : firstMark(shot),
                shot.state()
                        .camera(shot.record().placements())
                        .flatMap(c -> shot.state().value(c.key(), Place.class))
                        .orElse(null),
                wanted.stack() == null ? Modifiers.NONE : wanted.stack());
    }

    /** A device that had no line could not know which names are taken: {@code Key 2}. */
    private static String freeName(RecordedShot shot, String name) {
        List<String> taken = shot.record().placements().stream()
                .map(p -> p.name().toLowerCase(Locale.ROOT))
                .toList();
        String free = name.strip();
        for (int i = 2; taken.contains(free.toLowerCase(Locale.ROOT)); i++) {
            free = "%s %d".formatted(name.strip(), i);
        }
        return free;
    }

    /** Places another of what is placed already, with all that holds of it in this shot, somewhere else. */
    @Transactional
    public KeptPlacement copy(long shotId, String key, Copy wanted, String author) {
        RecordedShot before = records.locked(shotId);
        Placement of = before.record().placement(key);
        Placement placement = new Placement(
                keyFor(wanted.name()),
                wanted.name(),
                of.kind(),
                of.role(),
                of.motivation(),
                of.piece().as(null),
                of.group(),
                null);
        refuseUnlessItMayStand(before, placement, List.of(wanted.place()), wanted.reason());
        Attribution tie = new Attribution(wanted.reason(), null, author, clock.instant(), 1);
        List<Knot> tied = new ArrayList<>();
        for (Knot knot : before.state().knots(key)) {
            AttributeValue value = knot.value() instanceof Place
                    ? wanted.place()
                    : knot.value() instanceof Patch ? Patch.BY_HAND : knot.value();
            tied.add(new Knot(before.slate(), placement.key(), value, tie));
        }
        scenes.place(before.shot().sceneId(), placement);
        return keep(before, placement, tied);
    }

    /**
     * Something that was placed.
     *
     * @param key of it
     */
    public record KeptPlacement(String key, RecordedShot before, RecordedShot after) {}

    private static void refuseUnlessItMayStand(
            RecordedShot shot, Placement placement, List<AttributeValue> values, @Nullable Reason reason) {
        CarryBook book = shot.record().book();
        book.requireReason(shot.slate(), reason);
        book.refuseChangingWhatWasShot(shot.slate(), new ValueKey(placement.key(), Attribute.STANDING));
        values.forEach(value -> {
            Reach.require(shot.record(), shot.state(), placement, value);
            shot.record().check(placement, value);
        });
    }

    private KeptPlacement keep(RecordedShot before, Placement placement, List<Knot> tied) {
        long sceneId = before.shot().sceneId();
        tying.recordAll(records.of(sceneId), tied);
        return new KeptPlacement(
                placement.key(),
                before,
                records.of(sceneId).recorded(before.shot().id()));
    }

    /** Knots that put a placement on set with the values it starts from. */
    public List<Knot> startKnots(
            Slate slate, Placement placement, List<AttributeValue> values, @Nullable Reason reason, String author) {
        Attribution tie = new Attribution(reason, null, author, clock.instant(), 1);
        return values.stream()
                .map(value -> new Knot(slate, placement.key(), value, tie))
                .toList();
    }

    @Transactional
    public PlotEdit describe(long shotId, String key, PlacementCard card, long version, String author) {
        RecordedShot before = records.locked(shotId);
        if (card.piece() != null) {
            Placement said = before.record().placement(key).withKindSaid(card.piece());
            before.scene().knots().stream()
                    .filter(k -> k.placement().equals(key))
                    .forEach(k -> said.check(k.value()));
        }
        scenes.describe(before.shot().sceneId(), key, card, version);
        history.named(before.scene(), before.record().placement(key), card.name(), author);
        return edited(before, records.shot(shotId), author);
    }

    private static @Nullable String firstMark(RecordedShot shot) {
        return shot.marks().stream().map(Placement::key).findFirst().orElse(null);
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
