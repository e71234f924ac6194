package org.oblume.server.match;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.Recording;
import org.oblume.core.carry.ShotState;
import org.oblume.core.colour.CameraWhite;
import org.oblume.core.continuity.Aspect;
import org.oblume.core.continuity.Figures;
import org.oblume.core.continuity.Match;
import org.oblume.core.continuity.Remedy;
import org.oblume.core.continuity.School;
import org.oblume.core.continuity.Stilled;
import org.oblume.core.continuity.Tolerances;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.light.Falling;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLight;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.SoloCheck;
import org.oblume.core.metering.Suspect;
import org.oblume.core.moves.ChangeWords;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Pointing;
import org.oblume.core.plot.Words;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;
import org.oblume.server.kit.KitService;
import org.oblume.server.meter.MeterService;
import org.oblume.server.rebuild.BuiltRun;
import org.oblume.server.rebuild.RebuildService;
import org.oblume.server.rebuild.RebuildSheets;
import org.oblume.server.rebuild.RunHead;
import org.oblume.server.shot.SceneRecord;
import org.oblume.server.shot.SceneRecords;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.oblume.server.support.JsonText;
import org.oblume.server.support.StaleEdit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Judges the shots of a scene, and their rebuilds. */
@Service
@Transactional
public class MatchService {

    private final SceneRecords records;
    private final ShotService shots;
    private final RebuildService rebuild;
    private final RebuildSheets sheets;
    private final MeterService meter;
    private final KitService kit;
    private final SceneMatchRepository scenes;
    private final ShotMatchRepository closeness;
    private final ByEyeRepository byEye;
    private final JsonText json;
    private final Clock clock;

    MatchService(SceneRecords records, ShotService shots, RebuildService rebuild, RebuildSheets sheets, MeterService meter, KitService kit, SceneMatchRepository scenes,
            ShotMatchRepository closeness, ByEyeRepository byEye, JsonText json, Clock clock) {
        this.records = records;
        this.shots = shots;
        this.rebuild = rebuild;
        this.sheets = sheets;
        this.meter = meter;
        this.kit = kit;
        this.scenes = scenes;
        this.closeness = closeness;
        this.byEye = byEye;
        this.json = json;
        this.clock = clock;
    }

    /** One set of tolerances as JSON: only those that were set for the shot alone. */
    private record Own(Map<Aspect, Double> of) {
    }

    /** A state of the light that is judged, with what was read of it. */
    private record Judging(Shot shot, @Nullable RunHead run, Recording recording, ShotState state, ShotLight light, List<Reading> readings) {

        /** The mark that it is judged at: the one that the camera looks at, else the first on set. */
        Optional<Placement> mark() {
            Optional<String> framed = recording.placements().stream().filter(p -> p.kind() == PlacementKind.CAMERA && state.stands(p.key())).findFirst()
                    .flatMap(c -> state.value(c.key(), Pointing.class)).map(Pointing::mark).filter(state::stands);
            return framed.map(recording::placement).or(() -> recording.placements().stream().filter(p -> p.kind() == PlacementKind.MARK && state.stands(p.key())).findFirst());
        }

        Figures figures(SceneMatchEntity by) {
            return mark().map(m -> Figures.predicted(light, recording.placements(), state, m.key(), by.school())
                    .metered(readings, light, recording.placements(), state, m.key(), by.school(), by.curve())).orElse(new Figures(Map.of()));
        }
    }

    @Transactional(readOnly = true)
    public MatchView scene(long sceneId) {
        SceneRecord record = records.of(sceneId);
        SceneMatchEntity by = settings(sceneId);
        List<Long> ids = record.shots().stream().map(Shot::id).toList();
        if (ids.isEmpty()) {
            throw new Refusal("The scene has no shots yet: there is nothing to compare.");
        }
        Shot reference = record.shots().stream().filter(s -> Objects.equals(s.id(), by.referenceShotId())).findFirst().orElse(record.shots().get(0));
        Map<String, Calibration> calibrations = meter.calibrations(record);
        Map<String, ShotState> states = record.recording().book().resolveAll();
        Figures recorded = judging(record, reference, states, calibrations).figures(by);
        List<ByEyeEntity> said = byEye.findByShotIdInOrderById(ids);
        List<MatchView.Judged> judged = record.shots().stream().map(s -> judging(record, s, states, calibrations))
                .map(now -> judged(now, recorded, by, stilled(now, said), now.shot.id() == reference.id())).toList();
        List<MatchView.Judged> runs = rebuild.ofShots(ids).stream().map(run -> verdict(run, by, said)).toList();
        return new MatchView(sceneId, record.scene().heading(), by.version(), by.school(), by.school().label(), by.curve(), reference.id(), reference.card().slate(),
                summary(judged, reference), judged, runs);
    }

    private static Judging judging(SceneRecord record, Shot shot, Map<String, ShotState> states, Map<String, Calibration> calibrations, List<Reading> readings) {
        ShotState state = Objects.requireNonNull(states.get(shot.card().slate()));
        ShotLight light = ShotLight.of(record.set().plan(), record.recording().placements(), state, Set.of(), calibrations);
        return new Judging(shot, null, record.recording(), state, light, readings);
    }

    private Judging judging(SceneRecord record, Shot shot, Map<String, ShotState> states, Map<String, Calibration> calibrations) {
        return judging(record, shot, states, calibrations, meter.ofShot(shot.id()));
    }

    private static String summary(List<MatchView.Judged> judged, Shot reference) {
        List<MatchView.Judged> others = judged.stream().filter(j -> j.shotId() != reference.id()).toList();
        long hold = others.stream().filter(MatchView.Judged::holds).count();
        String off = others.stream().filter(j -> !j.holds()).map(MatchView.Judged::slate).collect(Collectors.joining(", "));
        long quiet = judged.stream().flatMap(j -> j.lines().stream()).filter(l -> l.verdict() == Match.Verdict.STILLED).count();
        return (others.isEmpty() ? "There is no other shot to compare yet." : off.isEmpty() ? "All %d shots hold.".formatted(hold)
                : "%d of %d hold. To do: %s.".formatted(hold, others.size(), off))
                + (quiet == 0 ? "" : quiet == 1 ? " One difference is explained." : " %d differences are explained.".formatted(quiet));
    }

    private MatchView.Judged judged(Judging now, Figures recorded, SceneMatchEntity by, Map<Aspect, Stilled> stilled, boolean isReference) {
        ShotMatchEntity close = closeness.findById(now.shot.id()).orElseGet(() -> new ShotMatchEntity(now.shot.id()));
        Map<Aspect, Double> own = json.read(close.own(), Own.class).of();
        Tolerances tolerances = close.closeness().usual().with(own == null ? Map.of() : own);
        Figures figures = now.figures(by);
        Match match = Match.of(recorded, figures, tolerances, stilled);
        Optional<Placement> mark = now.mark();
        Optional<MarkLight> at = mark.flatMap(m -> now.light.mark(m.key()));
        List<MatchView.JudgedLine> lines = match.lines().stream().map(l -> new MatchView.JudgedLine(l.aspect(), l.aspect().label(), l.recorded(), l.now(), l.difference(),
                l.tolerance(), l.verdict(), l.stilled(), l.say(), l.verdict() == Match.Verdict.OUT && mark.isPresent()
                        ? Remedy.of(l, now.light, now.state, mark.get().key(), by.school()).orElse(null) : null)).toList();
        return new MatchView.Judged(now.shot.id(), now.run, now.shot.card().slate(), now.shot.card().description(), now.shot.card().stage(), mark.map(Placement::name).orElse(null),
                close.closeness(), own == null ? Map.of() : own, close.version(), figures.anyMetered(), at.map(a -> swatches(now, a, figures, by.school())).orElse(Arrays.asList(null, null, null)),
                keySide(figures), mark.flatMap(m -> now.state.aim(m.key())).map(a -> a.bearing().degrees()).orElse(null), cameraFrom(now, at), match.holds(),
                title(match, isReference, close.closeness(), figures), lines);
    }

    private static @Nullable Double keySide(Figures figures) {
        Figures.Figure side = figures.of().get(Aspect.KEY_SIDE);
        return side == null ? null : side.value();
    }

    private static @Nullable Double cameraFrom(Judging now, Optional<MarkLight> at) {
        return at.flatMap(a -> now.recording.placements().stream().filter(p -> p.kind() == PlacementKind.CAMERA && now.state.stands(p.key())).findFirst()
                .flatMap(c -> now.state.position(c.key())).map(c -> Bearing.fromOffset(c.xM() - a.face().xM(), c.yM() - a.face().yM()).degrees())).orElse(null);
    }

    /** Grey cards on both cheeks and the background, in the predicted colour, as bright as the figures that are judged say. */
    private static List<@Nullable String> swatches(Judging now, MarkLight at, Figures figures, School school) {
        CameraWhite camera = ShotLight.white(now.recording.placements(), now.state).camera();
        double lit = figure(figures, Aspect.EXPOSURE, over(now, at.lit()));
        double shadow = school == School.LIT_TO_SHADOW ? lit - figure(figures, Aspect.RATIO, 0) : over(now, at.shadow());
        double background = lit + figure(figures, Aspect.BACKGROUND, 0);
        return Arrays.asList(card(at.lit(), camera, lit), card(at.shadow(), camera, shadow), at.background() == null ? null : card(at.background(), camera, background));
    }

    private static @Nullable String card(Falling on, CameraWhite camera, double overStops) {
        return on.mix() == null ? null : on.mix().seenBy(camera).onGreyCard(overStops).hex();
    }

    private static double figure(Figures figures, Aspect aspect, double otherwise) {
        Figures.Figure figure = figures.of().get(aspect);
        return figure == null ? otherwise : figure.value();
    }

    private static double over(Judging now, Falling on) {
        return on.lux() > 0 ? now.light.metering().map(m -> m.over(on.lux())).map(Stops::value).orElse(0.0) : 0;
    }

    private static String title(Match match, boolean isReference, Closeness close, Figures figures) {
        if (isReference) {
            return "The reference.";
        }
        if (figures.of().isEmpty()) {
            return "Nothing to judge: no mark on set.";
        }
        List<String> off = match.lines().stream().filter(l -> l.verdict() == Match.Verdict.OUT).map(l -> l.say() + ".").toList();
        return off.isEmpty() ? close == Closeness.HOLD ? "Holds." : "Holds as a sweetened shot." : String.join(" ", off);
    }

    /** What stills lines: what somebody said by eye, and a key whose place or aim was called a cheat. */
    private static Map<Aspect, Stilled> stilled(Judging now, List<ByEyeEntity> said) {
        Map<Aspect, Stilled> all = new EnumMap<>(Aspect.class);
        now.mark().flatMap(m -> now.light.mark(m.key())).flatMap(at -> Figures.key(now.light, at)).ifPresent(key -> {
            for (Attribute attribute : List.of(Attribute.AIM, Attribute.PLACE)) {
                now.state.knot(key.key(), attribute).filter(k -> k.tie().reason() == Reason.CHEAT)
                        .ifPresent(k -> all.put(Aspect.KEY_SIDE, new Stilled(Stilled.Cause.CHEAT, cheat(k), k.tie().author())));
            }
        });
        said.stream().filter(b -> b.shotId() == now.shot.id() && b.runId() == null).forEach(b -> all.put(b.aspect(), b.stilled()));
        return all;
    }

    private static String cheat(Knot knot) {
        return knot.tie().note() == null ? "Called a cheat in %s.".formatted(knot.slate()) : knot.tie().note();
    }

    private MatchView.Judged verdict(long runId, SceneMatchEntity by, List<ByEyeEntity> said) {
        return verdict(rebuild.built(runId), by, said);
    }

    /** A rebuild, judged against what was recorded of its shot: as metered then where it was, else as predicted. */
    private MatchView.Judged verdict(BuiltRun run, SceneMatchEntity by, List<ByEyeEntity> said) {
        SceneRecord record = run.record();
        Map<String, Calibration> calibrations = meter.calibrations(record);
        Map<String, ShotState> state = Map.of(run.shot().card().slate(), record.recording().book().resolve(run.shot().card().slate()));
        Figures recorded = judging(record, run.shot(), state, calibrations).figures(by);
        Recording built = run.built().recording();
        ShotLight light = ShotLight.of(built.set(), built.placements(), run.built().state(), Set.of(), calibrations);
        Judging now = new Judging(run.shot(), run.head(), built, run.built().state(), light, meter.ofRun(run.head().id()));
        Map<Aspect, Stilled> stilled = new EnumMap<>(Aspect.class);
        said.stream().filter(b -> Objects.equals(b.runId(), run.head().id())).forEach(b -> stilled.put(b.aspect(), b.stilled()));
        Figures turned = run.head().fit() == null ? recorded : turned(recorded, run.head().fit());
        return judged(now, turned, by, stilled, false);
    }

    /** A bearing of the recorded plan as it is on the plan of the place where it is rebuilt. */
    private static Figures turned(Figures recorded, RunHead.FittedPlan fit) {
        Map<Aspect, Figures.Figure> all = new EnumMap<>(Aspect.class);
        all.putAll(recorded.of());
        all.computeIfPresent(Aspect.KEY_SIDE, (a, f) -> new Figures.Figure(Bearing.ofDegrees((fit.mirrored() ? -f.value() : f.value()) + fit.turnDeg()).degrees(), f.metered()));
        return new Figures(all);
    }

    @Transactional(readOnly = true)
    public MatchView.VerdictView verdict(long runId) {
        BuiltRun run = rebuild.built(runId);
        return rebuild.signedPage(runId).map(page -> json.read(page, MatchView.VerdictView.class).signed(run.head())).orElseGet(() -> verdict(run));
    }

    private MatchView.VerdictView verdict(BuiltRun run) {
        long runId = run.head().id();
        SceneMatchEntity by = settings(run.record().scene().id());
        MatchView.Judged match = verdict(run, by, byEye.findByShotIdInOrderById(List.of(run.shot().id())));
        Tolerances tolerances = match.closeness().usual().with(match.own());
        List<Reading> readings = meter.ofRun(runId);
        Recording built = run.built().recording();
        ShotLight light = ShotLight.of(built.set(), built.placements(), run.built().state(), Set.of(), meter.calibrations(run.record()));
        List<MatchView.HeadLine> heads = light.sources().stream().filter(s -> s.kind() != PlacementKind.DAYLIGHT).map(s -> head(s, readings, run, light, tolerances)).toList();
        List<String> toTake = new ArrayList<>();
        if (readings.stream().noneMatch(r -> r.alone() == null)) {
            toTake.add("All lights at %s: stop, colour, shadow cheek, background".formatted(match.mark() == null ? "the mark" : match.mark()));
        }
        heads.stream().filter(h -> h.verdict() == Match.Verdict.UNKNOWN).forEach(h -> toTake.add("%s alone: stop and colour".formatted(h.name())));
        List<MatchView.OtherwiseLine> otherwise = run.instead().stream().map(i -> new MatchView.OtherwiseLine(built.placement(i.placement()).name(),
                Stream.concat(Stream.ofNullable(i.piece()).map(p -> Words.of(p.what())), i.values().stream().map(v -> ChangeWords.say(built, v))).toList(), i.why())).toList();
        int steps = sheets.ofRun(runId).steps().size();
        return new MatchView.VerdictView(run.record().scene().id(), run.record().scene().heading(), match, run.head(), heads, otherwise, steps, run.done(), toTake);
    }

    private MatchView.HeadLine head(Placement source, List<Reading> readings, BuiltRun run, ShotLight light, Tolerances tolerances) {
        return readings.stream().filter(r -> source.key().equals(r.alone())).reduce((a, b) -> b).map(reading -> {
            SoloCheck check = SoloCheck.of(reading, source, run.built().state(), light, kit.stock(), Suspect.Spread.USUAL);
            boolean holds = check.holds(tolerances.of().get(Aspect.EXPOSURE), tolerances.of().get(Aspect.WHITE), tolerances.of().get(Aspect.TINT));
            return new MatchView.HeadLine(source.key(), source.name(), check.calibration() == null ? null : Double.valueOf(check.calibration().stops().value()), check.mired(),
                    check.duv(), holds ? Match.Verdict.HOLDS : Match.Verdict.OUT, holds ? List.of() : check.likely().stream().map(Suspect::words).limit(2).toList());
        }).orElseGet(() -> new MatchView.HeadLine(source.key(), source.name(), null, null, null, Match.Verdict.UNKNOWN, List.of()));
    }

    /** Signs a rebuild with its verdict as it is, which closes it. */
    MatchView.VerdictView sign(long runId, String author) {
        MatchView.VerdictView verdict = verdict(runId);
        List<String> off = verdict.heads().stream().filter(h -> h.verdict() == Match.Verdict.OUT).map(MatchView.HeadLine::name).toList();
        rebuild.sign(runId, author, "%s%s %d of %d steps.".formatted(verdict.match().title(), off.isEmpty() ? "" : " Off alone: %s.".formatted(String.join(", ", off)),
                verdict.done(), verdict.steps()), json.write(verdict));
        return verdict(runId);
    }

    private SceneMatchEntity settings(long sceneId) {
        return scenes.findById(sceneId).orElseGet(() -> new SceneMatchEntity(sceneId));
    }

    /** @throws StaleEdit when somebody else changed it since that version */
    void judgeBy(long sceneId, long referenceShotId, School school, SignalCurve curve, long version) {
        if (shots.get(referenceShotId).sceneId() != sceneId) {
            throw new Refusal("referenceShotId", "Choose a shot of this scene as the reference.");
        }
        SceneMatchEntity by = settings(sceneId);
        if (by.version() != version) {
            throw new StaleEdit("Someone changed what this scene is judged by since you opened it. Look again.", by.version());
        }
        scenes.saveAndFlush(by.fill(referenceShotId, school, curve));
    }

    /** @throws StaleEdit when somebody else changed it since that version */
    long judge(long shotId, Closeness close, Map<Aspect, Double> own, long version) {
        Shot shot = shots.get(shotId);
        ShotMatchEntity entity = closeness.findById(shotId).orElseGet(() -> new ShotMatchEntity(shotId));
        if (entity.version() != version) {
            throw new StaleEdit("Someone changed the tolerances of %s since you opened them. Look again.".formatted(shot.card().slate()), entity.version());
        }
        close.usual().with(own);
        closeness.saveAndFlush(entity.fill(close, json.write(new Own(own))));
        return shot.sceneId();
    }

    /** Says that a line is right by eye, in the place of what was said before. @return the scene */
    long sayByEye(long shotId, @Nullable Long runId, Aspect aspect, String reason, String author) {
        takeBackByEye(shotId, runId, aspect);
        byEye.save(new ByEyeEntity(shotId, runId, aspect, new Stilled(Stilled.Cause.BY_EYE, reason, author), clock.instant()));
        return shots.get(shotId).sceneId();
    }

    long takeBackByEye(long shotId, @Nullable Long runId, Aspect aspect) {
        if (runId == null) {
            byEye.deleteByShotIdAndRunIdIsNullAndAspect(shotId, aspect);
        } else {
            rebuild.requireOpen(runId);
            byEye.deleteByShotIdAndRunIdAndAspect(shotId, runId, aspect);
        }
        byEye.flush();
        return shots.get(shotId).sceneId();
    }
}
