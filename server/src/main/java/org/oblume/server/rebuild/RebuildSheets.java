package org.oblume.server.rebuild;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.geometry.TapeCheck;
import org.oblume.core.moves.ChangeWords;
import org.oblume.core.moves.Difference;
import org.oblume.core.moves.Differences;
import org.oblume.core.moves.Side;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.rebuild.AsBuilt;
import org.oblume.core.rebuild.Instead;
import org.oblume.core.rebuild.RebuildSheet;
import org.oblume.core.rebuild.RebuildStep;
import org.oblume.server.location.SetService;
import org.oblume.server.shot.KnotService;
import org.oblume.server.shot.PlacedView;
import org.oblume.server.shot.PlotService;
import org.oblume.server.shot.SceneRecord;
import org.oblume.server.shot.SceneRecords;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sheets to rebuild by, as people read them. */
@Service
@Transactional(readOnly = true)
public class RebuildSheets {

    private final RebuildService rebuild;
    private final ShotService shots;
    private final SceneRecords records;
    private final PlotService plots;
    private final SetService sets;
    private final KnotService knots;

    RebuildSheets(RebuildService rebuild, ShotService shots, SceneRecords records, PlotService plots, SetService sets, KnotService knots) {
        this.rebuild = rebuild;
        this.shots = shots;
        this.records = records;
        this.plots = plots;
        this.sets = sets;
        this.knots = knots;
    }

    /** The sheet of a shot: of its open run in its own place, or of none yet. */
    public RebuildView ofShot(long shotId) {
        return rebuild.newest(shotId).map(this::ofRun).orElseGet(() -> {
            Shot shot = shots.get(shotId);
            SceneRecord record = records.restingUnder(shot);
            AsBuilt built = AsBuilt.of(record.recording(), record.recording().book().resolve(shot.card().slate()), record.set().plan(), PlanFit.NONE, List.of());
            return view(shot, record, built, null, record.set().name(), List.of(), List.of(), Map.of());
        });
    }

    public RebuildView ofRun(long runId) {
        BuiltRun run = rebuild.built(runId);
        String setName = run.head().setId() == null ? run.record().set().name() : sets.get(run.head().setId()).set().name();
        List<RebuildView.RevisedSince> revised = rebuild.revised(run).stream().map(RebuildSheets::revised).toList();
        return view(run.shot(), run.record(), run.built(), run.head(), setName, revised, run.instead(), rebuild.kept(runId));
    }

    private static RebuildView.RevisedSince revised(Difference difference) {
        return new RebuildView.RevisedSince(difference.placement().name(), difference.attribute().label(), difference.words());
    }

    private RebuildView view(Shot shot, SceneRecord record, AsBuilt built, @Nullable RunHead run, String setName, List<RebuildView.RevisedSince> revised, List<Instead> instead,
            Map<Long, RunStepEntity> kept) {
        SetPlan set = built.recording().set();
        List<RebuildStep> all = RebuildSheet.steps(set, built.recording().placements(), built.state(), record.scene().heading().buildOrder());
        Set<String> keys = all.stream().map(s -> s.placement().key()).collect(Collectors.toSet());
        Map<String, PlacedView> placed = plots.tried(shot, record, built.recording(), built.state(), keys).stream().collect(Collectors.toMap(p -> p.placement().key(), p -> p));
        List<String> out = new ArrayList<>();
        Set<String> stands = run == null || run.fromShotId() == null ? Set.of() : standing(built, shots.get(run.fromShotId()), keys, out);
        List<RebuildView.Step> steps = all.stream().filter(s -> !stands.contains(s.placement().key()))
                .map(s -> step(s, placed.get(s.placement().key()), record, built, instead, kept.get(record.placementId(s.placement().key())))).toList();
        List<RebuildView.MisfitSaid> misfits = run == null || run.setId() == null ? List.of() : misfits(built);
        return new RebuildView(shot.id(), shot.card().slate(), shot.card().description(), record.slate(shot.card().basedOnId()), record.scene().id(),
                record.scene().heading(), setName, set, run, rebuild.ofShot(shot.id(), record), steps, names(built, stands), out, misfits, revised, knots.newestEvent());
    }

    static List<RebuildView.MisfitSaid> misfits(AsBuilt built) {
        return built.misfits().stream().map(m -> new RebuildView.MisfitSaid(m.placement(), m.words())).toList();
    }

    /** Keys of what stands already as it is to be. @param out takes the names of what stands and does not belong */
    private Set<String> standing(AsBuilt built, Shot from, Set<String> keys, List<String> out) {
        SceneRecord before = records.restingUnder(from);
        Side was = new Side(before.recording(), before.recording().book().resolve(from.card().slate()));
        Set<String> stands = new LinkedHashSet<>(keys);
        for (Difference difference : Differences.between(was, new Side(built.recording(), built.state()))) {
            Placement thing = difference.placement();
            stands.remove(thing.key());
            if (!keys.contains(thing.key())) {
                out.add(thing.name());
            }
        }
        return stands;
    }

    private static List<String> names(AsBuilt built, Set<String> keys) {
        return built.recording().placements().stream().filter(p -> keys.contains(p.key())).map(Placement::name).toList();
    }

    private static RebuildView.Step step(RebuildStep step, PlacedView placed, SceneRecord record, AsBuilt built, List<Instead> instead, @Nullable RunStepEntity kept) {
        String key = step.placement().key();
        SetPlan set = built.recording().set();
        PlacedView.Tape third = step.tapes() == null ? null : built.state().value(key, Place.class)
                .flatMap(p -> TapeCheck.third(step.tapes(), p.point(), set.landmarks(), set.tapeWalls())
                        .map(l -> PlacedView.Tape.of(l.name(), l.point(), l.point().distanceM(p.point())))).orElse(null);
        RebuildView.Done done = kept == null || !kept.done() ? null
                : new RebuildView.Done(kept.author(), kept.at(), step.newestChange().isAfter(kept.at()));
        RebuildView.InsteadOf otherwise = kept == null ? null : instead.stream().filter(i -> i.placement().equals(key)).findFirst().map(i -> otherwise(record, built, i, kept)).orElse(null);
        return new RebuildView.Step(placed, third, step.cautions(), done, otherwise, kept == null ? 0 : kept.version());
    }

    private static RebuildView.InsteadOf otherwise(SceneRecord record, AsBuilt built, Instead instead, RunStepEntity kept) {
        List<RebuildView.OtherValue> values = instead.values().stream().map(v -> otherValue(record, built, instead.placement(), v)).toList();
        String piece = instead.piece() == null ? null : instead.piece().unit() == null ? instead.piece().what() : instead.piece().unit() + ", " + instead.piece().what();
        return new RebuildView.InsteadOf(piece, values, instead.why(), kept.author(), kept.at());
    }

    private static RebuildView.OtherValue otherValue(SceneRecord record, AsBuilt built, String placement, AttributeValue value) {
        Attribute attribute = Attribute.of(value);
        return new RebuildView.OtherValue(attribute, attribute.label(), value, ChangeWords.say(built.recording(), value),
                record.recording().book().resolve(built.state().slate()).knot(placement, attribute).map(k -> ChangeWords.say(record.recording(), k.value())).orElse(null));
    }
}
