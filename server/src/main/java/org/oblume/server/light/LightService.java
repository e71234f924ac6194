package org.oblume.server.light;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.Recording;
import org.oblume.core.carry.ShotState;
import org.oblume.core.geometry.Aim;
import org.oblume.core.light.Held;
import org.oblume.core.light.ShotLight;
import org.oblume.core.light.Trial;
import org.oblume.core.plot.Arrange;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Pointing;
import org.oblume.core.say.Said;
import org.oblume.core.say.SayIt;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;
import org.oblume.server.kit.Kit;
import org.oblume.server.kit.KitService;
import org.oblume.server.meter.MeterService;
import org.oblume.server.shot.PlacedView;
import org.oblume.server.shot.PlotService;
import org.oblume.server.shot.SceneRecord;
import org.oblume.server.shot.SceneRecords;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tries changes on a shot and tells what the light does then. Nothing is kept here. */
@Service
@Transactional(readOnly = true)
public class LightService {

    private final ShotService shots;
    private final SceneRecords records;
    private final PlotService plots;
    private final KitService kit;
    private final MeterService meter;

    LightService(ShotService shots, SceneRecords records, PlotService plots, KitService kit, MeterService meter) {
        this.meter = meter;
        this.shots = shots;
        this.records = records;
        this.plots = plots;
        this.kit = kit;
    }

    /**
     * @param holds keys of lights that keep the mark's stop
     * @param out keys of lights that are taken as off
     * @throws Refusal when a change could not be kept, or a light cannot be held
     */
    TriedView tried(long shotId, List<Change> changes, List<String> holds, Set<String> out) {
        Shot shot = shots.get(shotId);
        SceneRecord record = records.restingUnder(shot);
        String slate = shot.card().slate();
        Trial trial = Trial.of(record.recording(), slate, changes, holds, out, meter.calibrations(record));
        ShotState before = record.recording().book().resolve(slate);
        Set<String> keys = new LinkedHashSet<>(trial.changes().stream().map(Change::placement).toList());
        List<PlacedView> placed = plots.tried(shot, record, trial.recording(), trial.state(), keys);
        return new TriedView(trial.changes().stream().map(c -> told(record.recording(), before, placed, c)).toList(),
                trial.held().stream().map(h -> holding(record.recording(), trial, h)).toList(), placed,
                new Lights(record.set().plan(), record.recording().placements(), trial.state(), trial.light(),
                        record.scene().heading().buildOrder(), out).view());
    }

    /** The light of a state of a scene. */
    public LightView light(SceneRecord record, ShotState state) {
        Recording recording = record.recording();
        return new Lights(recording.set(), recording.placements(), state, ShotLight.of(recording.set(), recording.placements(), state, Set.of(), meter.calibrations(record)),
                record.scene().heading().buildOrder(), Set.of()).view();
    }

    /** What was understood of a line; no more than that. */
    Said said(long shotId, String line) {
        Shot shot = shots.get(shotId);
        SceneRecord record = records.restingUnder(shot);
        return SayIt.read(line, record.recording(), record.recording().book().resolve(shot.card().slate()), kit.stock());
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

    /** The changes that put things in order, to be tried. @param keys of what is put in order, first to last */
    List<Change> ordered(long shotId, Order order, List<String> keys) {
        Shot shot = shots.get(shotId);
        Recording recording = records.restingUnder(shot).recording();
        ShotState state = recording.book().resolve(shot.card().slate());
        List<Change> changes = new ArrayList<>();
        for (String key : keys) {
            Placement placement = recording.placement(key);
            Place place = place(state, placement);
            Place to = switch (order) {
                case MIRROR -> Arrange.mirrored(place, cameraAxis(recording, state));
                case ROW -> Arrange.aligned(place, row(recording, state, keys));
                case WALL -> Arrange.atWall(place, recording.set(), Math.max(0.05, placement.piece().widthM() / 2));
                case LANDMARK -> Arrange.atLandmark(place, recording.set());
            };
            changes.add(new Change(key, to));
            if (order == Order.MIRROR) {
                state.value(key, Pointing.class).filter(p -> p.mark() == null)
                        .ifPresent(p -> changes.add(new Change(key, Arrange.mirrored(p, cameraAxis(recording, state)))));
            }
        }
        return changes;
    }

    private static Place place(ShotState state, Placement placement) {
        return state.value(placement.key(), Place.class).orElseThrow(() -> new Refusal("%s has no place yet.".formatted(placement.name())));
    }

    private static Arrange.Line row(Recording recording, ShotState state, List<String> keys) {
        if (keys.size() < 2) {
            throw new Refusal("Choose two things or more for a row.");
        }
        return new Arrange.Line(place(state, recording.placement(keys.get(0))).point(),
                place(state, recording.placement(keys.get(keys.size() - 1))).point());
    }

    private static Arrange.Line cameraAxis(Recording recording, ShotState state) {
        Placement camera = recording.placements().stream().filter(p -> p.kind() == PlacementKind.CAMERA && state.stands(p.key())).findFirst()
                .orElseThrow(() -> new Refusal("There is no camera on set to mirror about: place one first."));
        return Arrange.Line.through(place(state, camera).point(), state.aim(camera.key()).map(Aim::bearing).orElse(Bearing.ofDegrees(0)));
    }

    private TriedView.Told told(Recording recording, ShotState before, List<PlacedView> placed, Change change) {
        Optional<PlacedView> now = placed.stream().filter(p -> p.placement().key().equals(change.placement())).findFirst();
        LightView.Printed after = now.map(p -> p.values().get(change.attribute())).map(h -> new LightView.Printed(h.say(), h.sayImperial()))
                .orElseGet(() -> printed(recording, change.value()));
        return new TriedView.Told(change.placement(), recording.placement(change.placement()).name(), change.attribute(), change.attribute().label(),
                before.knot(change.placement(), change.attribute()).map(k -> printed(recording, k.value())).orElse(null), after, change.value(),
                now.map(p -> p.revisions().getOrDefault(change.attribute(), 0L)).orElse(0L));
    }

    /** In words, an aim with its mark called as the crew calls it. */
    private static LightView.Printed printed(Recording recording, AttributeValue value) {
        AttributeValue named = value instanceof Pointing pointing && pointing.mark() != null && pointing.heightM() != null
                ? Pointing.atMark(recording.placement(pointing.mark()).name(), pointing.heightM()) : value;
        return new LightView.Printed(named.say(), named.sayImperial());
    }

    private TriedView.Holding holding(Recording recording, Trial trial, Held held) {
        return new TriedView.Holding(held.placement().key(), held.placement().name(), recording.placement(held.mark()).name(),
                held.move().change().value(), held.move().level().value(), held.move().reachable(), held.move().shortfall().value(),
                held.move().angularSizeFromDeg(), held.move().angularSizeToDeg(), held.distanceFromM(), held.distanceToM(),
                held.offers(trial.light(), kit.fixtures().stream().map(Kit.Fixture::piece).toList()));
    }
}
