package org.oblume.server.rebuild;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.caution.Caution;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.geometry.TapePair;
import org.oblume.core.moves.AlreadyInPlace;
import org.oblume.core.moves.ChangePhrases;
import org.oblume.core.moves.ComparedState;
import org.oblume.core.moves.Difference;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.rebuild.AsBuilt;
import org.oblume.core.rebuild.Deviation;
import org.oblume.core.rebuild.RebuildSheet;
import org.oblume.core.rebuild.RebuildStep;
import org.oblume.server.set.SetService;
import org.oblume.server.shot.KnotService;
import org.oblume.server.shot.PlacedView;
import org.oblume.server.shot.PlotService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sheets to rebuild by, as people read them. */
@Service
@Transactional(readOnly = true)
public class RebuildSheets {

    private final RebuildService rebuild;
    private final StoredScenes records;
    private final PlotService plots;
    private final SetService sets;
    private final KnotService knots;

    RebuildSheets(RebuildService rebuild, StoredScenes records, PlotService plots, SetService sets, KnotService knots) {
        this.rebuild = rebuild;
        this.records = records;
        this.plots = plots;
        this.sets = sets;
        this.knots = knots;
    }

    /** The sheet of a shot: of its open run in its own place, or of none yet. */
    public RebuildView ofShot(long shotId) {
        return rebuild.newest(shotId).map(this::ofRun).orElseGet(() -> {
            RecordedShot shot = records.shot(shotId);
            StoredScene record = shot.scene();
            AsBuilt built = AsBuilt.of(shot.record(), shot.state(), record.set().plan(), PlanFit.NONE, List.of());
            return view(shot.shot(), record, built, null, record.set().name(), List.of(), List.of(), Map.of());
        });
    }

    public RebuildView ofRun(long runId) {
        BuiltRun run = rebuild.built(runId);
        String setName = run.head().setId() == null
                ? run.record().set().name()
                : sets.get(run.head().setId()).set().name();
        List<RebuildView.RevisedSince> revised =
                rebuild.revised(run).stream().map(RebuildSheets::revised).toList();
        return view(
                run.shot(),
                run.record(),
                run.built(),
                run.head(),
                setName,
                revised,
                run.instead(),
                rebuild.kept(runId));
    }

    private static RebuildView.RevisedSince revised(Difference difference) {
        return new RebuildView.RevisedSince(
                difference.placement().name(), difference.attribute().label(), difference.words());
    }

    /**
     * @param steps of a run, without what stands already
     * @param undone names of those that nobody ticked
     */
    public record Progress(int steps, List<String> undone) {}

    /** How far a run has come. */
    public Progress progress(BuiltRun run) {
        Map<Long, RunStepEntity> kept = rebuild.kept(run.head().id());
        List<RebuildStep> steps = steps(run.record(), run.built(), stands(run.head(), run.built()));
        return new Progress(
                steps.size(),
                steps.stream()
                        .map(RebuildStep::placement)
                        .filter(p -> {
                            RunStepEntity step = kept.get(run.record().placementId(p.key()));
                            return step == null || !step.done();
                        })
                        .map(Placement::name)
                        .toList());
    }

    private static List<RebuildStep> steps(StoredScene record, AsBuilt built, AlreadyInPlace stands) {
        return RebuildSheet.steps(
                        built.scene().set(),
                        built.scene().placements(),
                        built.state(),
                        record.scene().heading().buildOrder())
                .stream()
                .filter(s -> stands.stays().stream()
                        .noneMatch(p -> p.key().equals(s.placement().key())))
                .toList();
    }

    private AlreadyInPlace stands(@Nullable RunHead run, AsBuilt built) {
        if (run == null || run.fromShotId() == null) {
            return new AlreadyInPlace(List.of(), List.of());
        }
        RecordedShot from = records.shot(run.fromShotId());
        return AlreadyInPlace.between(
                new ComparedState(from.record(), from.state()), new ComparedState(built.scene(), built.state()));
    }

    private RebuildView view(
            Shot shot,
            StoredScene record,
            AsBuilt built,
            @Nullable RunHead run,
            String setName,
            List<RebuildView.RevisedSince> revised,
            List<Deviation> instead,
            Map<Long, RunStepEntity> kept) {
        AlreadyInPlace stands = stands(run, built);
        List<RebuildStep> all = steps(record, built, stands);
        Set<String> keys = all.stream().map(s -> s.placement().key()).collect(Collectors.toSet());
        Map<String, PlacedView> placed =
                plots.tried(record.recorded(shot.id()), built.scene(), built.state(), keys).stream()
                        .collect(Collectors.toMap(p -> p.placement().key(), p -> p));
        List<RebuildView.Step> steps = all.stream()
                .map(s -> step(
                        s,
                        Objects.requireNonNull(placed.get(s.placement().key())),
                        record,
                        built,
                        instead,
                        kept.get(record.placementId(s.placement().key()))))
                .toList();
        List<RebuildView.MisfitView> misfits = run == null || run.setId() == null ? List.of() : misfits(built);
        return new RebuildView(
                shot.id(),
                shot.card().slate(),
                shot.card().description(),
                record.slate(shot.card().basedOnId()),
                record.scene().id(),
                record.scene().heading(),
                setName,
                built.scene().set(),
                run,
                rebuild.ofShot(shot.id(), record),
                steps,
                names(stands.stays()),
                names(stands.out()),
                misfits,
                revised,
                knots.newestEvent());
    }

    private static List<String> names(List<Placement> placements) {
        return placements.stream().map(Placement::name).toList();
    }

    static List<RebuildView.MisfitView> misfits(AsBuilt built) {
        return built.misfits().stream()
                .map(m -> new RebuildView.MisfitView(m.placement(), m.words()))
                .toList();
    }

    private static RebuildView.Step step(
            RebuildStep step,
            PlacedView placed,
            StoredScene record,
            AsBuilt built,
            List<Deviation> instead,
            @Nullable RunStepEntity kept) {
        String key = step.placement().key();
        SetPlan set = built.scene().set();
        TapePair tapes = step.tapes();
        PlacedView.TapeView third = tapes == null
                ? null
                : RebuildSheet.check(set, built.state(), key, tapes)
                        .map(t ->
                                PlacedView.TapeView.of(t.from().name(), t.from().point(), t.lengthM()))
                        .orElse(null);
        RebuildView.Done done = kept == null || !kept.done()
                ? null
                : new RebuildView.Done(
                        kept.author(), kept.at(), step.newestChange().isAfter(kept.at()));
        RebuildView.DeviationView otherwise = kept == null
                ? null
                : instead.stream()
                        .filter(i -> i.placement().equals(key))
                        .findFirst()
                        .map(i -> otherwise(record, built, i, kept))
                        .orElse(null);
        return new RebuildView.Step(
                placed,
                third,
                step.cautions().stream().map(Caution::sentence).toList(),
                done,
                otherwise,
                kept == null ? null : kept.hung(),
                kept == null ? 0 : kept.version());
    }

    private static RebuildView.DeviationView otherwise(
            StoredScene record, AsBuilt built, Deviation instead, RunStepEntity kept) {
        List<RebuildView.OtherValue> values = instead.values().stream()
                .map(v -> otherValue(record, built, instead.placement(), v))
                .toList();
        String piece = instead.piece() == null ? null : instead.piece().called();
        return new RebuildView.DeviationView(piece, values, instead.why(), kept.author(), kept.at());
    }

    private static RebuildView.OtherValue otherValue(
            StoredScene record, AsBuilt built, String placement, AttributeValue value) {
        Attribute attribute = Attribute.of(value);
        return new RebuildView.OtherValue(
                attribute,
                attribute.label(),
                value,
                ChangePhrases.say(built.scene(), value),
                record.record()
                        .book()
                        .resolve(built.state().slate())
                        .knot(placement, attribute)
                        .map(k -> ChangePhrases.say(record.record(), k.value()))
                        .orElse(null));
    }
}
