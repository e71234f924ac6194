package org.oblume.server.light;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.colour.Swatch;
import org.oblume.core.cue.CueSheet;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.light.BustLight;
import org.oblume.core.light.BustReading;
import org.oblume.core.light.ExposureHold;
import org.oblume.core.light.Glasses;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Touched;
import org.oblume.core.light.Trial;
import org.oblume.core.moves.ChangePhrases;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Arrange;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.White;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;
import org.oblume.server.kit.Kit;
import org.oblume.server.kit.KitService;
import org.oblume.server.metering.LightCalibrations;
import org.oblume.server.shot.PlacedView;
import org.oblume.server.shot.PlotService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.ComputesAtLength;
import org.oblume.server.support.NotFoundException;
import org.springframework.stereotype.Service;

/** Tries changes on a shot and tells what the light does then. Nothing is kept here. */
@Service
@ComputesAtLength
public class LightService {

    private final StoredScenes records;
    private final PlotService plots;
    private final KitService kit;
    private final LightCalibrations calibrations;

    LightService(StoredScenes records, PlotService plots, KitService kit, LightCalibrations calibrations) {
        this.calibrations = calibrations;
        this.records = records;
        this.plots = plots;
        this.kit = kit;
    }

    /**
     * What is tried on a shot.
     *
     * @param holds keys of lights that keep the mark's stop
     * @param out keys of lights that are taken as off
     * @param cue how many cues of the shot have run
     */
    record Tried(List<Change> changes, List<String> holds, Set<String> out, int cue) {}

    Trial trial(RecordedShot shot, Tried tried) {
        return Trial.of(
                shot.record(),
                shot.slate(),
                after(shot, tried.cue, tried.changes),
                tried.holds,
                tried.out,
                calibrations.of(shot.scene()));
    }

    /** @throws Refusal when a change could not be kept, or a light cannot be held */
    TrialView tried(long shotId, Tried tried) {
        RecordedShot shot = records.shot(shotId);
        StoredScene record = shot.scene();
        Trial trial = trial(shot, tried);
        ShotState before = shot.state();
        Set<String> keys = new LinkedHashSet<>(
                trial.changes().stream().map(Change::placement).toList());
        List<PlacedView> placed = plots.tried(shot, trial.scene(), trial.state(), keys);
        return new TrialView(
                trial.changes().stream()
                        .map(c -> told(record.record(), before, placed, c))
                        .toList(),
                trial.held().stream()
                        .map(h -> holding(record.record(), trial, h))
                        .toList(),
                placed,
                lights(record, trial.state(), trial.light(), tried.out).view());
    }

    /**
     * The bust at a mark with what is tried, as the shot's camera shows it.
     *
     * @param mark key of it, or null for the first on set
     * @throws NotFoundException when there is no such mark on set
     * @throws Refusal as when changes are tried, or when the camera's exposure is not recorded
     */
    BustView bust(long shotId, Tried tried, @Nullable String mark) {
        return bust(LitState.of(trial(records.shot(shotId), tried)), mark);
    }

    /**
     * The bust at the first mark of a state of a scene.
     *
     * @throws NotFoundException when there is no mark on set
     * @throws Refusal when the camera's exposure is not recorded
     */
    public BustView bust(StoredScene record, RecordedState state) {
        return bust(lit(record, state), null);
    }

    private static BustView bust(LitState lit, @Nullable String mark) {
        MarkLight at = lit.light().marks().stream()
                .filter(m -> mark == null || m.key().equals(mark))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such mark on set any more."));
        ShotLighting.Metering metering = lit.light()
                .metering()
                .orElseThrow(() ->
                        new Refusal("The bust shows what the camera sees: record its stop, ISO and shutter first."));
        White white = ShotLighting.white(lit.scene().placements(), lit.state());
        double required = metering.exposure().required(metering.stop()).lux();
        SpacePoint lens = lit.state()
                .camera(lit.scene().placements())
                .flatMap(c -> lit.state().position(c.key()))
                .filter(l -> !l.coincides(at.face()))
                .orElse(null);
        Aim camera = lens == null ? null : Aim.between(at.face(), lens);
        BustReading nose = BustReading.of(at).orElse(null);
        BustLight bust = lit.light().bust(at);
        return new BustView(
                at.key(),
                bust.picture(white.camera(), required).stream().map(Swatch::hex).toList(),
                camera == null ? null : camera.bearing().minus(at.facing()),
                camera == null ? null : camera.tiltDeg(),
                nose == null ? null : lit.name(nose.source()),
                nose == null ? null : nose.downDeg(),
                nose == null ? null : nose.triangle(),
                BustReading.eyeLights(at, camera == null ? null : Direction.of(camera.bearing(), camera.tiltDeg()))
                        .stream()
                        .map(e -> new BustView.SeenInEyes(
                                lit.name(e.source()), e.inLeft(), e.inRight(), e.leftOnIt(), e.upOnIt()))
                        .toList(),
                names(
                        lit,
                        s -> lit.scene().placement(s.source()).role() == Role.EDGE && BustReading.reachesNose(at, s),
                        at),
                names(
                        lit,
                        s -> lens != null
                                && lit.scene().placement(at.key()).piece().wearsGlasses()
                                && Glasses.mirror(lens, at, s),
                        at),
                over(metering, bust.cheekLux(at.leftIsLit())),
                over(metering, bust.cheekLux(!at.leftIsLit())));
    }

    private static List<String> names(LitState lit, Predicate<MarkLight.SourceAtMark> which, MarkLight at) {
        return at.sources().stream()
                .filter(s -> s.wayLux() > 0)
                .filter(which)
                .map(s -> lit.name(s.source()))
                .toList();
    }

    private static @Nullable Double over(ShotLighting.Metering metering, double lux) {
        Stops over = metering.over(lux);
        return over == null ? null : (Double) over.value();
    }

    /** What cues have changed, and over it what is tried. */
    private static List<Change> after(RecordedShot shot, int cue, List<Change> changes) {
        List<Change> all = new ArrayList<>(
                CueSheet.of(shot.record().placements(), shot.state()).changes(cue));
        all.addAll(changes);
        return all;
    }

    /**
     * A place of the set that is pointed at.
     *
     * @param heightM null on the floor, and at a usual height on a wall
     * @param withinM how near a wall has to be to be meant, metres, 0 to 2
     */
    record Point(PlanPoint at, @Nullable Double heightM, double withinM) {

        private static final double FARTHEST_M = 2;

        Point {
            Checks.within("withinM", "How near a wall has to be", withinM, 0, FARTHEST_M, " m");
        }
    }

    /**
     * The light on a place that is pointed at.
     *
     * @throws Refusal when a change could not be kept, a light cannot be held, or the place is out of reach
     */
    LandingView landing(long shotId, Tried tried, Point point) {
        RecordedShot shot = records.shot(shotId);
        StoredScene record = shot.scene();
        Trial trial = trial(shot, tried);
        @Nullable
        SpacePoint lens = trial.state()
                .camera(record.record().placements())
                .flatMap(c -> trial.state().position(c.key()))
                .orElse(null);
        return lights(record, trial.state(), trial.light(), tried.out)
                .landing(Touched.of(record.record().set(), point.at(), point.heightM(), point.withinM(), lens));
    }

    /** The light of a state of a scene. */
    public LightView light(StoredScene record, RecordedState state) {
        return lights(record, state, lit(record, state).light(), Set.of()).view();
    }

    LitState lit(StoredScene record, RecordedState state) {
        SceneRecord scene = record.record().in(state);
        return new LitState(
                scene,
                state,
                ShotLighting.of(scene.set(), scene.placements(), state, Set.of(), calibrations.of(record)));
    }

    static Lights lights(StoredScene record, RecordedState state, ShotLighting light, Set<String> out) {
        return new Lights(
                record.record().set(),
                record.record().in(state).placements(),
                state,
                light,
                record.scene().heading().buildOrder(),
                out);
    }

    /** Ways to put several things in order. */
    enum Order {
        /** To the other side of the camera's axis. */
        MIRROR,
        /** Into a row from the first to the last. */
        ROW,
        /** To the nearest wall. */
        WALL,
        /** To the nearest landmark. */
        LANDMARK
    }

    /**
     * The changes that put things in order, to be tried.
     *
     * @param keys of what is put in order, first to last
     */
    List<Change> ordered(long shotId, Order order, List<String> keys) {
        RecordedShot shot = records.shot(shotId);
        SceneRecord scene = shot.record();
        ShotState state = shot.state();
        List<Change> changes = new ArrayList<>();
        for (String key : keys) {
            Placement placement = scene.placement(key);
            Place place = place(state, placement);
            Place to =
                    switch (order) {
                        case MIRROR -> Arrange.mirrored(place, cameraAxis(scene, state));
                        case ROW -> Arrange.aligned(place, row(scene, state, keys));
                        case WALL ->
                            Arrange.atWall(
                                    place,
                                    scene.set(),
                                    Math.max(0.05, placement.piece().widthM() / 2));
                        case LANDMARK -> Arrange.atLandmark(place, scene.set());
                    };
            changes.add(new Change(key, to));
            if (order == Order.MIRROR) {
                state.value(key, AimSetting.class)
                        .filter(p -> p.mark() == null)
                        .ifPresent(p -> changes.add(new Change(key, Arrange.mirrored(p, cameraAxis(scene, state)))));
            }
        }
        return changes;
    }

    private static Place place(ShotState state, Placement placement) {
        return state.value(placement.key(), Place.class)
                .orElseThrow(() -> new Refusal("%s has no place yet.".formatted(placement.name())));
    }

    private static Arrange.Line row(SceneRecord scene, ShotState state, List<String> keys) {
        if (keys.size() < 2) {
            throw new Refusal("Choose two things or more for a row.");
        }
        return new Arrange.Line(
                place(state, scene.placement(keys.get(0))).point(),
                place(state, scene.placement(keys.get(keys.size() - 1))).point());
    }

    private static Arrange.Line cameraAxis(SceneRecord scene, ShotState state) {
        Placement camera = state.camera(scene.placements())
                .orElseThrow(() -> new Refusal("There is no camera on set to mirror about: place one first."));
        return Arrange.Line.through(
                place(state, camera).point(),
                state.aim(camera.key()).map(Aim::bearing).orElse(Bearing.ofDegrees(0)));
    }

    private TrialView.ChangeView told(SceneRecord scene, ShotState before, List<PlacedView> placed, Change change) {
        Optional<PlacedView> now = placed.stream()
                .filter(p -> p.placement().key().equals(change.placement()))
                .findFirst();
        Phrase after = now.map(p -> p.values().get(change.attribute()))
                .map(PlacedView.ValueView::say)
                .orElseGet(() -> ChangePhrases.say(scene, change.value()));
        return new TrialView.ChangeView(
                change.placement(),
                scene.placement(change.placement()).name(),
                change.attribute(),
                change.attribute().label(),
                before.knot(change.placement(), change.attribute())
                        .map(k -> ChangePhrases.say(scene, k.value()))
                        .orElse(null),
                after,
                change.value(),
                now.map(p -> p.revisions().getOrDefault(change.attribute(), 0L)).orElse(0L));
    }

    private TrialView.HoldView holding(SceneRecord scene, Trial trial, ExposureHold held) {
        return new TrialView.HoldView(
                held.placement().key(),
                held.placement().name(),
                scene.placement(held.mark()).name(),
                held.move().change().value(),
                held.move().level().value(),
                held.move().reachable(),
                held.move().shortfall().value(),
                held.move().angularSizeFromDeg(),
                held.move().angularSizeToDeg(),
                held.distanceFromM(),
                held.distanceToM(),
                held.offers(
                        trial.light(),
                        kit.fixtures().stream().map(Kit.Fixture::piece).toList()));
    }
}
