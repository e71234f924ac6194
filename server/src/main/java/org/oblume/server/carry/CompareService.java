package org.oblume.server.carry;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.caution.Caution;
import org.oblume.core.geometry.Aim;
import org.oblume.core.moves.ComparedState;
import org.oblume.core.moves.Department;
import org.oblume.core.moves.Differences;
import org.oblume.core.moves.Job;
import org.oblume.core.moves.JobTimes;
import org.oblume.core.moves.Move;
import org.oblume.core.moves.MoveKey;
import org.oblume.core.moves.MoveList;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Refusal;
import org.oblume.server.light.BustView;
import org.oblume.server.light.FrameService;
import org.oblume.server.light.LightService;
import org.oblume.server.production.ProductionService;
import org.oblume.server.shot.KnotService;
import org.oblume.server.support.ComputesAtLength;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Compares two states of the light and plans the way from one to the other. */
@Service
@Transactional
public class CompareService {

    private static final int LONGEST_SAID = 2000;
    private final ComparedStates sides;
    private final LightService lights;
    private final FrameService frames;
    private final KnotService knots;
    private final ProductionService productions;
    private final MoveTickRepository ticks;
    private final RecordJson json;
    private final Clock clock;

    CompareService(
            ComparedStates sides,
            LightService lights,
            FrameService frames,
            KnotService knots,
            ProductionService productions,
            MoveTickRepository ticks,
            RecordJson json,
            Clock clock) {
        this.sides = sides;
        this.lights = lights;
        this.frames = frames;
        this.knots = knots;
        this.productions = productions;
        this.ticks = ticks;
        this.json = json;
        this.clock = clock;
    }

    @ComputesAtLength
    CompareView compare(String fromId, String toId) {
        ComparedStates.NamedState from = sides.side(fromId);
        ComparedStates.NamedState to = sides.side(toId);
        return new CompareView(
                from.head(),
                to.head(),
                knots.newestEvent(),
                CompareView.DifferenceView.of(Differences.between(from.side(), to.side())),
                from.record().scene().setId() == to.record().scene().setId(),
                to.record().set().plan(),
                standing(from.side(), to.side()),
                lights.light(from.record(), from.side().state()),
                lights.light(to.record(), to.side().state()));
    }

    @ComputesAtLength
    byte[] frame(String id) {
        ComparedStates.NamedState side = sides.side(id);
        return frames.small(side.record(), side.side().state());
    }

    @ComputesAtLength
    BustView bust(String id) {
        ComparedStates.NamedState side = sides.side(id);
        return lights.bust(side.record(), side.side().state());
    }

    private static List<CompareView.Stood> standing(ComparedState from, ComparedState to) {
        List<CompareView.Stood> all = new ArrayList<>();
        for (ComparedState.Pair pair : from.pairs(to)) {
            CompareView.StoodAt was = spot(from, pair.from());
            CompareView.StoodAt is = spot(to, pair.to());
            if (was != null || is != null) {
                Placement thing = pair.thing();
                all.add(new CompareView.Stood(
                        thing.name(), thing.kind(), thing.piece().widthM(), was, is));
            }
        }
        return all;
    }

    private static CompareView.@Nullable StoodAt spot(ComparedState side, @Nullable Placement thing) {
        if (thing == null || !side.state().isOnSet(thing.key())) {
            return null;
        }
        double bearing = side.state()
                .aim(thing.key())
                .map(Aim::bearing)
                .map(b -> b.degrees())
                .orElse(0.0);
        return side.state()
                .value(thing.key(), Place.class)
                .map(p -> new CompareView.StoodAt(p.xM(), p.yM(), bearing))
                .orElse(null);
    }

    @Transactional(readOnly = true)
    public MovesView moves(String fromId, String toId) {
        ComparedStates.NamedState from = sides.side(fromId);
        ComparedStates.NamedState to = sides.side(toId);
        JobTimes times = tempo(to);
        MoveList list = MoveList.between(from.side(), to.side(), times);
        Map<String, MoveTickEntity> done = ticks.findByFromSideAndToSide(fromId, toId).stream()
                .collect(Collectors.toMap(MoveTickEntity::moveKey, t -> t));
        List<MovesView.Spent> spent = list.minutesByDepartment().entrySet().stream()
                .map(e -> new MovesView.Spent(
                        e.getKey(),
                        e.getValue(),
                        list.moves().stream()
                                .filter(m -> m.department() == e.getKey())
                                .mapToDouble(Move::minutes)
                                .sum()))
                .toList();
        return new MovesView(
                from.head(),
                to.head(),
                list.minutes(),
                spent,
                list.moves().stream()
                        .map(m -> step(m, done.get(m.key().print())))
                        .toList(),
                view(times));
    }

    private static MovesView.MoveStep step(Move move, @Nullable MoveTickEntity done) {
        return new MovesView.MoveStep(
                move.key().print(),
                move.department(),
                move.job(),
                move.placement(),
                move.words(),
                move.minutes(),
                move.people(),
                move.startMin(),
                move.cautions().stream().map(Caution::sentence).toList(),
                move.after().stream().map(MoveKey::print).toList(),
                done == null ? null : done.toTickedOff(said(move)));
    }

    private static String said(Move move) {
        String said = move.words().metric();
        return said.length() > LONGEST_SAID ? said.substring(0, LONGEST_SAID) : said;
    }

    /** Ticks a move off; ticking it again says who did it last. */
    void tick(String fromId, String toId, String key, String author) {
        ComparedStates.NamedState to = sides.side(toId);
        Move move = MoveList.between(sides.side(fromId).side(), to.side(), tempo(to)).moves().stream()
                .filter(m -> m.key().print().equals(key))
                .findFirst()
                .orElseThrow(() -> new Refusal(
                        "This move is not on the list any more: the record was changed. Look at the list again."));
        ticks.save(ticks.findByFromSideAndToSideAndMoveKey(fromId, toId, key)
                .orElseGet(() -> new MoveTickEntity(fromId, toId, key))
                .by(author, clock.instant(), said(move)));
    }

    void untick(String fromId, String toId, String key) {
        ticks.findByFromSideAndToSideAndMoveKey(fromId, toId, key).ifPresent(ticks::delete);
    }

    /** Keeps the crew's table for a whole production. */
    MovesView.JobTimesView keepTempo(long productionId, JobTimes times) {
        productions.keepTempo(productionId, json.write(times));
        return view(times);
    }

    private JobTimes tempo(ComparedStates.NamedState side) {
        return times(side.record().scene().productionId());
    }

    /** How fast the crew of a production is. */
    @Transactional(readOnly = true)
    public JobTimes times(long productionId) {
        return Optional.ofNullable(productions.tempo(productionId))
                .map(t -> json.read(t, JobTimes.class))
                .orElse(JobTimes.USUAL);
    }

    private static MovesView.JobTimesView view(JobTimes times) {
        return new MovesView.JobTimesView(
                Arrays.stream(Job.values())
                        .map(j -> new MovesView.JobTime(j, j.label(), times.of(j), j.usualMinutes()))
                        .toList(),
                Arrays.stream(Department.values())
                        .map(d -> new MovesView.Crew(d, times.of(d), d.usualPeople()))
                        .toList());
    }
}
