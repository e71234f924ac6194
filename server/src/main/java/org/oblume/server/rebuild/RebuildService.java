package org.oblume.server.rebuild;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.ShotState;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Tape;
import org.oblume.core.geometry.TapeCheck;
import org.oblume.core.moves.ComparedState;
import org.oblume.core.moves.Difference;
import org.oblume.core.moves.Differences;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.reach.Reach;
import org.oblume.core.rebuild.AsBuilt;
import org.oblume.core.rebuild.Deviation;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.kit.Kit;
import org.oblume.server.kit.KitService;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.scene.SceneService;
import org.oblume.server.set.DrawnSet;
import org.oblume.server.set.SetService;
import org.oblume.server.shot.KnotService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Rebuilds of shots: what is to be put back where, what was, and what stands otherwise. */
@Service
@Transactional
public class RebuildService {

    private static final int LONGEST_NAME = 120;
    private final ShotService shots;
    private final SceneService scenes;
    private final StoredScenes records;
    private final KnotService knots;
    private final SetService sets;
    private final KitService kit;
    private final RunRepository runs;
    private final RunStepRepository steps;
    private final RecordJson json;
    private final Clock clock;

    RebuildService(
            ShotService shots,
            SceneService scenes,
            StoredScenes records,
            KnotService knots,
            SetService sets,
            KitService kit,
            RunRepository runs,
            RunStepRepository steps,
            RecordJson json,
            Clock clock) {
        this.shots = shots;
        this.scenes = scenes;
        this.records = records;
        this.knots = knots;
        this.sets = sets;
        this.kit = kit;
        this.runs = runs;
        this.steps = steps;
        this.json = json;
        this.clock = clock;
    }

    /** A landmark of the recorded set and the same on the new one, by name. */
    record LandmarkPair(String recorded, String here) {}

    /**
     * A rebuild that is to begin.
     *
     * @param fromShotId a shot of the scene that stands already, or null to start from nothing
     * @param setId another set, or null for the scene's own
     * @param pairs landmarks that both sets have, for another set
     */
    record NewRun(
            @Nullable String name,
            @Nullable Long fromShotId,
            @Nullable Long setId,
            @Nullable List<LandmarkPair> pairs,
            boolean mirrored) {

        NewRun {
            pairs = pairs == null ? List.of() : List.copyOf(pairs);
        }
    }

    /**
     * What stands otherwise.
     *
     * @param kind of the kit that stands in for it, or null
     * @param unit its own name
     * @param values that are true now
     */
    record StepChange(
            boolean done, @Nullable String kind, @Nullable String unit, List<Change> values, @Nullable String why) {}

    /** How a plan was fitted, as it is kept. */
    record KeptFit(List<LandmarkPair> pairs, PlanFit fit) {}

    /** A value that is kept of a step. */
    record KeptValue(Attribute attribute, JsonNode value) {}

    long begin(long shotId, NewRun wanted, String author) {
        RecordedShot recorded = records.shot(shotId);
        Shot shot = recorded.shot();
        StoredScene record = recorded.scene();
        String name = wanted.name() == null || wanted.name().isBlank()
                ? "Rebuild of %s".formatted(shot.card().slate())
                : Checks.text("The rebuild's name", wanted.name(), LONGEST_NAME);
        if (wanted.fromShotId() != null
                && (wanted.setId() != null
                        || record.slate(wanted.fromShotId()) == null
                        || wanted.fromShotId() == shotId)) {
            throw new Refusal(
                    "fromShotId",
                    wanted.setId() != null
                            ? "In another place nothing of the scene stands yet: start from nothing."
                            : "Choose another shot of the scene that stands already, or start from nothing.");
        }
        String fit = wanted.setId() == null ? null : json.write(fit(record, sets.get(wanted.setId()), wanted));
        RunEntity run = runs.save(new RunEntity(
                shotId, name, wanted.setId(), fit, wanted.fromShotId(), author, clock.instant(), knots.newestEvent()));
        return run.id();
    }

    private static KeptFit fit(StoredScene record, DrawnSet there, NewRun wanted) {
        List<LandmarkPair> landmarks = wanted.pairs() == null ? List.of() : wanted.pairs();
        List<PlanFit.Pair> pairs = landmarks.stream()
                .map(p -> new PlanFit.Pair(
                        p.recorded(),
                        landmark(record.set().plan(), p.recorded(), record.set().name()),
                        landmark(there.set().plan(), p.here(), there.set().name())))
                .toList();
        return new KeptFit(landmarks, PlanFit.of(pairs, wanted.mirrored()));
    }

    private static PlanPoint landmark(SetPlan plan, String name, String set) {
        return plan.landmarks().stream()
                .filter(l -> l.name().equals(name))
                .findFirst()
                .map(Landmark::point)
                .orElseThrow(() -> new Refusal(
                        "pairs", "%s has no landmark “%s”: draw it there, or choose another.".formatted(set, name)));
    }

    /** How the recorded plan would lie on another set, and what would not fit; nothing is kept. */
    @Transactional(readOnly = true)
    BuiltRun fitted(long shotId, NewRun wanted) {
        RecordedShot recorded = records.shot(shotId);
        Shot shot = recorded.shot();
        StoredScene record = recorded.scene();
        if (wanted.setId() == null) {
            throw new Refusal("setId", "Choose the set where it is rebuilt.");
        }
        DrawnSet there = sets.get(wanted.setId());
        KeptFit kept = fit(record, there, wanted);
        RunHead head = new RunHead(0, "", wanted.setId(), null, null, "", Instant.EPOCH, told(kept), null);
        return new BuiltRun(
                head,
                shot,
                record,
                AsBuilt.of(record.record(), recorded.state(), there.set().plan(), kept.fit(), List.of()),
                kept.fit(),
                List.of());
    }

    @Transactional(readOnly = true)
    public BuiltRun built(long runId) {
        RunEntity run = run(runId);
        RecordedShot recorded = records.shot(run.shotId());
        Shot shot = recorded.shot();
        StoredScene record = recorded.scene();
        List<RunStepEntity> kept = steps.findByRunIdOrderById(runId);
        List<Deviation> instead = instead(record, kept);
        PlanFit fit = keptFit(run).map(KeptFit::fit).orElse(PlanFit.NONE);
        SetPlan set = run.setId() == null
                ? record.set().plan()
                : sets.get(run.setId()).set().plan();
        return new BuiltRun(
                head(run, record),
                shot,
                record,
                AsBuilt.of(record.record(), recorded.state(), set, fit, instead),
                fit,
                instead);
    }

    private Optional<KeptFit> keptFit(RunEntity run) {
        return Optional.ofNullable(run.fit()).map(f -> json.read(f, KeptFit.class));
    }

    private RunHead head(RunEntity run, StoredScene record) {
        return new RunHead(
                run.id(),
                run.name(),
                run.setId(),
                run.fromShotId(),
                record.slate(run.fromShotId()),
                run.author(),
                run.startedAt(),
                keptFit(run).map(RebuildService::told).orElse(null),
                run.signature());
    }

    private static RunHead.FittedPlan told(KeptFit kept) {
        List<RunHead.FittedPair> pairs = new ArrayList<>();
        for (int i = 0; i < kept.pairs().size(); i++) {
            pairs.add(new RunHead.FittedPair(
                    kept.pairs().get(i).recorded(),
                    kept.pairs().get(i).here(),
                    Phrase.metres(kept.fit().missM().get(i))));
        }
        return new RunHead.FittedPlan(kept.fit().mirrored(), kept.fit().turnDeg(), pairs);
    }

    /** Runs of a shot, the newest first. */
    @Transactional(readOnly = true)
    public List<RunHead> ofShot(long shotId, StoredScene record) {
        return runs.findByShotIdOrderByIdDesc(shotId).stream()
                .map(r -> head(r, record))
                .toList();
    }

    /** Ids of the runs of several shots, the oldest first. */
    @Transactional(readOnly = true)
    public List<Long> ofShots(List<Long> shotIds) {
        return runs.findByShotIdInOrderById(shotIds).stream().map(RunEntity::id).toList();
    }

    private List<Deviation> instead(StoredScene record, List<RunStepEntity> kept) {
        return kept.stream()
                .filter(s -> s.why() != null)
                .map(s -> new Deviation(
                        record.key(s.placementId()),
                        s.piece() == null ? null : json.read(s.piece(), Piece.class),
                        s.values() == null
                                ? List.of()
                                : Arrays.stream(json.read(s.values(), KeptValue[].class))
                                        .map(v -> json.value(v.attribute(), v.value()))
                                        .toList(),
                        Objects.requireNonNull(s.why())))
                .toList();
    }

    /** What is kept of the steps, by the placement's id. */
    Map<Long, RunStepEntity> kept(long runId) {
        return steps.findByRunIdOrderById(runId).stream().collect(Collectors.toMap(RunStepEntity::placementId, s -> s));
    }

    /** What changed in the record since a run began or was gone on with. */
    @Transactional(readOnly = true)
    List<Difference> revised(BuiltRun run) {
        RunEntity entity = run(run.head().id());
        RecordedShot then = records.asOf(run.shot().id(), entity.lastEvent());
        RecordedShot now = run.record().recorded(run.shot().id());
        return Differences.between(
                new ComparedState(then.record(), then.state()), new ComparedState(now.record(), now.state()));
    }

    /** The run that a tick without a run belongs to: the newest in the shot's own place that is not signed; one begins when there is none. */
    long openRun(long shotId, String author) {
        scenes.lockForUpdate(shots.get(shotId).sceneId());
        return newest(shotId).orElseGet(() -> begin(shotId, new NewRun(null, null, null, List.of(), false), author));
    }

    @Transactional(readOnly = true)
    Optional<Long> newest(long shotId) {
        return runs.findFirstByShotIdAndSetIdIsNullOrderByIdDesc(shotId)
                .filter(r -> !r.isSigned())
                .map(RunEntity::id);
    }

    /** Ticks a step off as recorded; ticking it again says who did it last. What was said to be otherwise stays said. */
    void tick(long runId, String placement, String author) {
        BuiltRun run = open(runId);
        requireOnSet(run, placement);
        steps.save(step(runId, run.record().placementId(placement)).ticked(true).by(author, clock.instant()));
    }

    void untick(long runId, String placement) {
        BuiltRun run = open(runId);
        steps.findByRunIdAndPlacementId(runId, run.record().placementId(placement))
                .ifPresent(s -> steps.save(s.ticked(false)));
    }

    /** Keeps what somebody named that hangs there and is as recorded. */
    public void hung(long runId, String placement, String named, String author) {
        BuiltRun run = open(runId);
        requireOnSet(run, placement);
        steps.save(
                step(runId, run.record().placementId(placement)).hanging(named).by(author, clock.instant()));
    }

    /**
     * Keeps what is not as recorded about a thing, or that it is as recorded after all.
     *
     * @throws EditConflict when somebody else said something about this step since that version
     */
    void otherwise(long runId, String placement, StepChange wanted, long version, String author) {
        BuiltRun run = open(runId);
        requireOnSet(run, placement);
        RunStepEntity step = step(runId, run.record().placementId(placement));
        if (step.version() != version) {
            throw new EditConflict(
                    "%s said something about %s since you opened it. Nothing of yours was kept yet: look again."
                            .formatted(
                                    step.author(),
                                    run.record().record().placement(placement).name()),
                    step.version());
        }
        if (wanted.kind() == null && wanted.values().isEmpty()) {
            steps.save(step.instead(null, null, null).ticked(wanted.done()).by(author, clock.instant()));
            return;
        }
        Piece piece = wanted.kind() == null ? null : piece(wanted.kind()).as(wanted.unit());
        ShotState recorded = withoutWhatIsSaidOf(run, placement).state();
        List<AttributeValue> other = wanted.values().stream()
                .map(Change::value)
                .filter(v -> recorded.knot(placement, Attribute.of(v))
                        .filter(k -> k.value().equals(v))
                        .isEmpty())
                .toList();
        Deviation instead = new Deviation(placement, piece, other, wanted.why() == null ? "" : wanted.why());
        AsBuilt would = AsBuilt.of(
                run.built().scene(), run.built().state(), run.built().scene().set(), PlanFit.NONE, List.of(instead));
        instead.values().forEach(v -> {
            would.scene().check(placement, v);
            Reach.require(would.scene(), would.state(), would.scene().placement(placement), v);
        });
        steps.save(step.instead(
                        piece == null ? null : json.write(piece),
                        json.write(instead.values().stream()
                                .map(v -> new KeptValue(Attribute.of(v), json.tree(v)))
                                .toList()),
                        instead.why())
                .ticked(wanted.done())
                .by(author, clock.instant()));
    }

    private Piece piece(String kind) {
        return kit.fixtures().stream()
                .map(Kit.Fixture::piece)
                .filter(p -> p.what().equals(kind))
                .findFirst()
                .orElseThrow(() -> new Refusal(
                        "kind", "The kit has no “%s”: choose one of it, or add the kind to the kit.".formatted(kind)));
    }

    private RunStepEntity step(long runId, long placementId) {
        return steps.findByRunIdAndPlacementId(runId, placementId)
                .orElseGet(() -> new RunStepEntity(runId, placementId));
    }

    private static void requireOnSet(BuiltRun run, String placement) {
        if (!run.built().state().isOnSet(placement)) {
            throw new Refusal("%s is not on set in %s: there is nothing to tick."
                    .formatted(
                            run.record().record().placement(placement).name(),
                            run.shot().card().slate()));
        }
    }

    private BuiltRun open(long runId) {
        requireOpen(runId);
        return built(runId);
    }

    /** A run as it would stand with one thing as recorded. */
    @Transactional(readOnly = true)
    public BuiltRun asRecorded(long runId, String placement) {
        BuiltRun run = built(runId);
        return new BuiltRun(
                run.head(), run.shot(), run.record(), withoutWhatIsSaidOf(run, placement), run.fit(), run.instead());
    }

    private AsBuilt withoutWhatIsSaidOf(BuiltRun run, String placement) {
        return AsBuilt.of(
                run.record().record(),
                run.record().recorded(run.shot().id()).state(),
                run.built().scene().set(),
                run.fit(),
                run.instead().stream()
                        .filter(i -> !i.placement().equals(placement))
                        .toList());
    }

    /** @param pulled lengths by landmark, metres, in the order in which they were pulled */
    @Transactional(readOnly = true)
    TapeCheck tapes(long runId, String placement, Map<String, Double> pulled) {
        BuiltRun run = built(runId);
        SetPlan set = run.built().scene().set();
        Place place = run.built()
                .state()
                .value(placement, Place.class)
                .orElseThrow(() -> new Refusal("%s has no recorded place to check."
                        .formatted(run.record().record().placement(placement).name())));
        List<Tape> tapes = pulled.entrySet().stream()
                .map(t -> new Tape(new Landmark(t.getKey(), landmark(set, t.getKey(), "The set")), t.getValue()))
                .toList();
        return TapeCheck.of(tapes, place.point(), set.landmarks(), set.tapeWalls());
    }

    void goOn(long runId) {
        open(runId);
        run(runId).goOn(knots.newestEvent());
    }

    /** Begins again: nothing is ticked, nothing is otherwise. */
    void restart(long runId) {
        open(runId);
        steps.deleteByRunId(runId);
        run(runId).goOn(knots.newestEvent());
    }

    /**
     * Signs the verdict, which closes the run.
     *
     * @param page what was signed, as it is to stay
     */
    public void sign(long runId, String author, String verdict, String page) {
        open(runId);
        run(runId).sign(author, clock.instant(), verdict, page);
    }

    /** The page that was signed; empty while nobody signed. */
    @Transactional(readOnly = true)
    public Optional<String> signedPage(long runId) {
        return Optional.ofNullable(run(runId).page());
    }

    /**
     * Lets nobody else change the run until the transaction ends.
     *
     * @throws Refusal when the run is signed: nothing of it changes any more
     * @throws NotFoundException when it is none of this shot
     */
    public void requireOpen(long runId, long shotId) {
        if (run(runId).shotId() != shotId) {
            throw new NotFoundException("There is no such rebuild of this shot.");
        }
        requireOpen(runId);
    }

    private void requireOpen(long runId) {
        RunEntity run = run(runId);
        scenes.lockForUpdate(shots.get(run.shotId()).sceneId());
        RunHead.Signature signed = run.signature();
        if (signed != null) {
            throw new Refusal(
                    "This rebuild is signed by %s and stays as it is: start another one.".formatted(signed.author()));
        }
    }

    /** What was ticked off in the newest open run of a shot. */
    @Transactional(readOnly = true)
    public List<Tick> ticks(long shotId, StoredScene record) {
        Map<Long, String> keys = record.placed().stream()
                .collect(Collectors.toMap(PlacedPiece::id, p -> p.placement().key()));
        return newest(shotId).stream()
                .flatMap(run -> steps.findByRunIdOrderById(run).stream())
                .filter(RunStepEntity::done)
                .map(t -> new Tick(Objects.requireNonNull(keys.get(t.placementId())), t.author(), t.at()))
                .toList();
    }

    /** Keeps ticks as they are, from a file. */
    public void importAll(long shotId, StoredScene record, List<Tick> done) {
        if (!done.isEmpty()) {
            long run = openRun(shotId, done.get(0).author());
            done.forEach(t -> steps.save(
                    step(run, record.placementId(t.placement())).ticked(true).by(t.author(), t.at())));
        }
    }

    private RunEntity run(long runId) {
        return runs.findById(runId).orElseThrow(() -> new NotFoundException("There is no such rebuild any more."));
    }
}
