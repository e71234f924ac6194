package org.oblume.server.rebuild;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotState;
import org.oblume.core.rebuild.RebuildSheet;
import org.oblume.core.rebuild.RebuildStep;
import org.oblume.core.units.Refusal;
import org.oblume.server.scene.PlacedPiece;
import org.oblume.server.shot.PlacedView;
import org.oblume.server.shot.PlotService;
import org.oblume.server.shot.SceneRecord;
import org.oblume.server.shot.SceneRecords;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

@Service
@Transactional
public class RebuildService {

    private final ShotService shots;
    private final SceneRecords records;
    private final PlotService plots;
    private final TickRepository ticks;
    private final Clock clock;

    RebuildService(ShotService shots, SceneRecords records, PlotService plots, TickRepository ticks, Clock clock) {
        this.shots = shots;
        this.records = records;
        this.plots = plots;
        this.ticks = ticks;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    RebuildView sheet(long shotId) {
        Shot shot = shots.get(shotId);
        SceneRecord record = records.restingUnder(shot);
        Map<String, PlacedView> placed = plots.placed(shot, record).stream()
                .collect(Collectors.toMap(p -> p.placement().key(), p -> p));
        Map<String, Tick> done = ticks(shotId, record).stream().collect(Collectors.toMap(Tick::placement, t -> t));
        List<RebuildView.Step> steps = steps(record, shot).stream().map(step -> {
            String key = step.placement().key();
            return new RebuildView.Step(placed.get(key), step.cautions(), done(done.get(key), step.newestChange()));
        }).toList();
        return new RebuildView(shotId, shot.card().slate(), shot.card().description(),
                record.slate(shot.card().basedOnId()), record.scene().heading(), record.set().name(), record.set().plan(),
                steps);
    }

    /** Ticks a step off; ticking it again says who did it last. */
    void tick(long shotId, String placement, String author) {
        Shot shot = shots.get(shotId);
        SceneRecord record = records.restingUnder(shot);
        if (steps(record, shot).stream().noneMatch(s -> s.placement().key().equals(placement))) {
            throw new Refusal("%s is not on set in %s: there is nothing to tick."
                    .formatted(record.recording().placement(placement).name(), shot.card().slate()));
        }
        keep(shotId, record.placementId(placement), author, clock.instant());
    }

    void untick(long shotId, String placement) {
        SceneRecord record = records.restingUnder(shots.get(shotId));
        ticks.findByShotIdAndPlacementId(shotId, record.placementId(placement)).ifPresent(ticks::delete);
    }

    @Transactional(readOnly = true)
    public List<Tick> ticks(long shotId, SceneRecord record) {
        Map<Long, String> keys = record.placed().stream()
                .collect(Collectors.toMap(PlacedPiece::id, p -> p.placement().key()));
        return ticks.findByShotIdOrderById(shotId).stream()
                .map(t -> new Tick(keys.get(t.placementId()), t.author(), t.at())).toList();
    }

    /** Keeps ticks as they are, from a file. */
    public void keepAll(long shotId, SceneRecord record, List<Tick> done) {
        done.forEach(t -> keep(shotId, record.placementId(t.placement()), t.author(), t.at()));
    }

    private void keep(long shotId, long placementId, String author, Instant at) {
        TickEntity tick = ticks.findByShotIdAndPlacementId(shotId, placementId)
                .orElseGet(() -> new TickEntity(shotId, placementId));
        ticks.save(tick.by(author, at));
    }

    private static List<RebuildStep> steps(SceneRecord record, Shot shot) {
        ShotState state = record.recording().book().resolve(shot.card().slate());
        return RebuildSheet.steps(record.recording().set(), record.recording().placements(), state,
                record.scene().heading().buildOrder());
    }

    private static RebuildView.@Nullable Done done(@Nullable Tick tick, Instant newestChange) {
        return tick == null ? null : new RebuildView.Done(tick.author(), tick.at(), newestChange.isAfter(tick.at()));
    }
}
