package org.oblume.server.continuity;

import java.time.Clock;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.continuity.Aspect;
import org.oblume.core.continuity.Figures;
import org.oblume.core.continuity.Figures.Figure;
import org.oblume.core.continuity.LitAs;
import org.oblume.core.continuity.Match;
import org.oblume.core.continuity.RatioConvention;
import org.oblume.core.continuity.RebuildVerdict;
import org.oblume.core.continuity.Remedies;
import org.oblume.core.continuity.ShotAssessment;
import org.oblume.core.continuity.Waiver;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.metering.FaultHypothesis;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.SoloCheck;
import org.oblume.core.moves.ChangePhrases;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Bearing;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.kit.KitService;
import org.oblume.server.metering.LightCalibrations;
import org.oblume.server.metering.MeterService;
import org.oblume.server.monitor.MonitorService;
import org.oblume.server.proof.DiagnosisView;
import org.oblume.server.rebuild.BuiltRun;
import org.oblume.server.rebuild.RebuildService;
import org.oblume.server.rebuild.RebuildSheets;
import org.oblume.server.rebuild.RunHead;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.ComputesAtLength;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Judges the shots of a scene, and their rebuilds. */
@Service
@Transactional
public class MatchService {

    private final StoredScenes records;
    private final ShotService shots;
    private final RebuildService rebuild;
    private final RebuildSheets sheets;
    private final MeterService meter;
    private final LightCalibrations calibrations;
    private final KitService kit;
    private final MonitorService monitor;
    private final SceneMatchRepository scenes;
    private final ShotMatchRepository closeness;
    private final ByEyeRepository byEye;
    private final RecordJson json;
    private final Clock clock;

    MatchService(
            StoredScenes records,
            ShotService shots,
            RebuildService rebuild,
            RebuildSheets sheets,
            MeterService meter,
            LightCalibrations calibrations,
            KitService kit,
            MonitorService monitor,
            SceneMatchRepository scenes,
            ShotMatchRepository closeness,
            ByEyeRepository byEye,
            RecordJson json,
            Clock clock) {
        this.records = records;
        this.shots = shots;
        this.rebuild = rebuild;
        this.sheets = sheets;
        this.meter = meter;
        this.calibrations = calibrations;
        this.kit = kit;
        this.monitor = monitor;
        this.scenes = scenes;
        this.closeness = closeness;
        this.byEye = byEye;
        this.json = json;
        this.clock = clock;
    }

    /** One set of tolerances as JSON: only those that were set for the shot alone. */
    private record Own(@Nullable Map<Aspect, Double> of) {}

    /**
     * What is judged by.
     *
     * @param curve that the monitor is read through
     */
    private record JudgedBy(RatioConvention school, SignalCurve curve) {}

    /**
     * What is judged: a shot, or a rebuild of it, with its state of the light.
     *
     * @param reference what it is to match, or null for that itself
     * @param calibrations by which its light is predicted
     */
    private record Subject(
            Shot shot,
            @Nullable RunHead run,
            ShotAssessment judging,
            @Nullable ShotState reference,
            Map<String, Calibration> calibrations) {}

    @ComputesAtLength
    public MatchView scene(long sceneId) {
        StoredScene record = records.of(sceneId);
        SceneMatchEntity settings = settings(sceneId);
        JudgedBy by = by(settings, sceneId);
        List<Long> ids = record.shots().stream().map(Shot::id).toList();
        if (ids.isEmpty()) {
            throw new Refusal("The scene has no shots yet: there is nothing to compare.");
        }
        Shot reference = record.shots().stream()
                .filter(s -> Objects.equals(s.id(), settings.referenceShotId()))
                .findFirst()
                .orElse(record.shots().get(0));
        Map<String, Calibration> calibrations = this.calibrations.of(record);
        Map<Slate, ShotState> states = record.record().book().resolveAll();
        Map<Long, ShotAssessment> judgings = judgings(record, states, calibrations, by);
        Figures recorded = Objects.requireNonNull(judgings.get(reference.id())).figures();
        Map<Long, ShotMatchEntity> close =
                closeness.findAllById(ids).stream().collect(Collectors.toMap(ShotMatchEntity::shotId, c -> c));
        List<ByEyeEntity> said = byEye.findByShotIdInOrderById(ids);
        List<MatchView.ShotVerdict> judged = record.shots().stream()
                .map(shot -> {
                    Subject now = new Subject(
                            shot,
                            null,
                            Objects.requireNonNull(judgings.get(shot.id())),
                            shot.id() == reference.id()
                                    ? null
                                    : states.get(reference.card().slate()),
                            calibrations);
                    return assessed(
                            now, recorded, close.get(shot.id()), waivers(now, said), shot.id() == reference.id());
                })
                .toList();
        List<MatchView.ShotVerdict> runs = rebuild.ofShots(ids).stream()
                .map(rebuild::built)
                .map(run -> signed(run)
                        .map(MatchView.VerdictView::match)
                        .orElseGet(() -> verdict(run, rebuilt(run, by), by, said)))
                .toList();
        return new MatchView(
                sceneId,
                record.scene().heading(),
                settings.version(),
                by.school(),
                by.school().label(),
                by.curve().label(),
                reference.id(),
                reference.card().slate().text(),
                summary(judged, reference),
                judged,
                runs);
    }

    private Map<Long, ShotAssessment> judgings(
            StoredScene record, Map<Slate, ShotState> states, Map<String, Calibration> calibrations, JudgedBy by) {
        Map<Long, List<Reading>> readings =
                meter.ofShots(record.shots().stream().map(Shot::id).toList());
        return record.shots().stream()
                .collect(Collectors.toMap(
                        Shot::id,
                        shot -> judging(
                                record.record(),
                                Objects.requireNonNull(states.get(shot.card().slate())),
                                calibrations,
                                readings.getOrDefault(shot.id(), List.of()),
                                by)));
    }

    /** How each shot of a scene is lit, in figures that can be held against other scenes; those of which too little is known are left out. */
    @ComputesAtLength
    public Map<Long, LitAs> litAs(long sceneId) {
        StoredScene record = records.of(sceneId);
        JudgedBy alike = new JudgedBy(
                RatioConvention.LIT_TO_SHADOW, by(settings(sceneId), sceneId).curve());
        Map<Long, LitAs> all = new LinkedHashMap<>();
        judgings(record, record.record().book().resolveAll(), calibrations.of(record), alike)
                .forEach((shot, judging) -> LitAs.of(judging).ifPresent(as -> all.put(shot, as)));
        return all;
    }

    private static ShotAssessment judging(
            SceneRecord scene,
            ShotState state,
            Map<String, Calibration> calibrations,
            List<Reading> readings,
            JudgedBy by) {
        return new ShotAssessment(
                scene,
                state,
                ShotLighting.of(scene.set(), scene.placements(), state, Set.of(), calibrations),
                readings,
                by.school(),
                by.curve());
    }

    /** A rebuild as it stands and was read. */
    private ShotAssessment rebuilt(BuiltRun run, JudgedBy by) {
        return judging(
                run.built().scene(),
                run.built().state(),
                run.built().calibrations(calibrations.of(run.record())),
                meter.ofRun(run.head().id()),
                by);
    }

    private static String summary(List<MatchView.ShotVerdict> judged, Shot reference) {
        List<MatchView.ShotVerdict> others =
                judged.stream().filter(j -> j.shotId() != reference.id()).toList();
        long hold = others.stream().filter(MatchView.ShotVerdict::holds).count();
        String off = others.stream()
                .filter(j -> !j.holds())
                .map(j -> j.slate().text())
                .collect(Collectors.joining(", "));
        long quiet = judged.stream()
                .flatMap(j -> j.lines().stream())
                .filter(l -> l.verdict() == Match.Verdict.WAIVED)
                .count();
        return (others.isEmpty()
                        ? "There is no other shot to compare yet."
                        : off.isEmpty()
                                ? "All %d shots hold.".formatted(hold)
                                : "%d of %d hold. To do: %s.".formatted(hold, others.size(), off))
                + (quiet == 0
                        ? ""
                        : quiet == 1
                                ? " One difference is explained."
                                : " %d differences are explained.".formatted(quiet));
    }

    /** @param kept how close it has to come, or null while nobody said */
    private MatchView.ShotVerdict assessed(
            Subject subject,
            Figures recorded,
            @Nullable ShotMatchEntity kept,
            Map<Aspect, Waiver> waivers,
            boolean isReference) {
        Shot shot = subject.shot;
        ShotAssessment now = subject.judging;
        ShotMatchEntity close = kept == null ? new ShotMatchEntity(shot.id()) : kept;
        Map<Aspect, Double> own = own(close);
        Figures figures = now.figures();
        Match match = Match.of(recorded, figures, close.closeness().usual().with(own), waivers);
        Remedies remedies = new Remedies(now, match, subject.reference, subject.calibrations);
        List<@Nullable String> cards = now.greyCards(figures).stream()
                .map(c -> c == null ? null : c.hex())
                .collect(Collectors.toCollection(ArrayList::new));
        Figure side = figures.of().get(Aspect.KEY_SIDE);
        String holding = close.closeness() == TolerancePreset.HOLD ? "Holds." : "Holds as a sweetened shot.";
        RebuildVerdict rebuilt = subject.run == null ? null : RebuildVerdict.of(match, now.unread(), holding);
        return new MatchView.ShotVerdict(
                shot.id(),
                subject.run,
                shot.card().slate(),
                shot.card().description(),
                shot.card().stage(),
                now.mark().map(Placement::name).orElse(null),
                close.closeness(),
                own,
                close.version(),
                figures.anyMetered(),
                cards,
                side == null ? null : side.value(),
                now.facing().map(Bearing::degrees).orElse(null),
                now.cameraFrom().map(Bearing::degrees).orElse(null),
                rebuilt == null ? match.holds() : rebuilt.standing() == RebuildVerdict.Standing.HOLDS,
                rebuilt == null ? null : rebuilt.standing(),
                rebuilt == null ? title(match, isReference, holding, figures) : rebuilt.say(),
                remedies.added().stream().map(Placement::name).toList(),
                match.lines().stream().map(l -> line(l, remedies)).toList());
    }

    private Map<Aspect, Double> own(ShotMatchEntity close) {
        Map<Aspect, Double> own = json.read(close.own(), Own.class).of();
        return own == null ? Map.of() : own;
    }

    private static MatchView.VerdictLine line(Match.Line line, Remedies remedies) {
        Aspect aspect = line.aspect();
        return new MatchView.VerdictLine(
                aspect,
                aspect.label(),
                figure(aspect, line.recorded()),
                figure(aspect, line.now()),
                line.difference(),
                line.difference() == null ? null : aspect.printDifference(line.difference()),
                line.tolerance(),
                aspect.printTolerance(line.tolerance()),
                line.verdict(),
                line.waiver(),
                line.say(),
                remedies.of(line).orElse(null));
    }

    private static MatchView.@Nullable FigureView figure(Aspect aspect, @Nullable Figure figure) {
        return figure == null
                ? null
                : new MatchView.FigureView(figure.value(), aspect.print(figure.value()), figure.metered());
    }

    private static String title(Match match, boolean isReference, String holding, Figures figures) {
        if (isReference) {
            return "The reference.";
        }
        if (figures.of().isEmpty()) {
            return "Nothing to judge: no mark on set.";
        }
        return match.holds() ? holding : match.say();
    }

    /** What stills lines of a shot: a cheat, and what somebody said by eye. */
    private static Map<Aspect, Waiver> waivers(Subject now, List<ByEyeEntity> said) {
        Map<Aspect, Waiver> all = now.run == null ? now.judging.cheats() : new EnumMap<>(Aspect.class);
        said.stream()
                .filter(b ->
                        b.shotId() == now.shot.id() && Objects.equals(b.runId(), now.run == null ? null : now.run.id()))
                .forEach(b -> all.put(b.aspect(), b.waiver()));
        return all;
    }

    /** A rebuild, judged against what was recorded of its shot: as metered then where it was, else as predicted. */
    private MatchView.ShotVerdict verdict(BuiltRun run, ShotAssessment now, JudgedBy by, List<ByEyeEntity> said) {
        SceneRecord record = run.record().record();
        ShotState wanted = record.book().resolve(run.shot().card().slate());
        Figures recorded = judging(
                        record,
                        wanted,
                        calibrations.of(run.record()),
                        meter.ofShot(run.shot().id()),
                        by)
                .figures();
        Subject subject = new Subject(
                run.shot(), run.head(), now, wanted, run.built().calibrations(calibrations.of(run.record())));
        return assessed(
                subject,
                recorded.on(run.fit()),
                closeness.findById(run.shot().id()).orElse(null),
                waivers(subject, said),
                false);
    }

    @ComputesAtLength
    public MatchView.VerdictView verdict(long runId) {
        BuiltRun run = rebuild.built(runId);
        return signed(run).orElseGet(() -> verdict(run));
    }

    private Optional<MatchView.VerdictView> signed(BuiltRun run) {
        return rebuild.signedPage(run.head().id())
                .map(page -> json.read(page, MatchView.VerdictView.class).signed(run.head()));
    }

    private MatchView.VerdictView verdict(BuiltRun run) {
        long sceneId = run.record().scene().id();
        JudgedBy by = by(settings(sceneId), sceneId);
        ShotAssessment now = rebuilt(run, by);
        MatchView.ShotVerdict match = verdict(
                run, now, by, byEye.findByShotIdInOrderById(List.of(run.shot().id())));
        List<ShotAssessment.Head> heads = now.heads(match.closeness().usual().with(match.own()), kit.stock());
        SceneRecord built = run.built().scene();
        List<MatchView.DeviationLine> otherwise = run.instead().stream()
                .map(i -> new MatchView.DeviationLine(
                        built.placement(i.placement()).name(),
                        Stream.concat(
                                        Stream.ofNullable(i.piece()).map(p -> Phrase.of(p.what())),
                                        i.values().stream().map(v -> ChangePhrases.say(built, v)))
                                .toList(),
                        i.why()))
                .toList();
        RebuildSheets.Progress progress = sheets.progress(run);
        return new MatchView.VerdictView(
                run.record().scene().id(),
                run.record().scene().heading(),
                match,
                run.head(),
                heads.stream().map(MatchService::head).toList(),
                otherwise,
                progress.steps(),
                progress.steps() - progress.undone().size(),
                now.toRead(heads),
                progress.undone(),
                meter.view(run.shot().id(), run.head().id()).readings(),
                run.shot().revision(),
                null);
    }

    private static MatchView.HeadLine head(ShotAssessment.Head head) {
        SoloCheck check = head.check();
        return new MatchView.HeadLine(
                head.light().key(),
                head.light().name(),
                check == null || check.calibration() == null
                        ? null
                        : Double.valueOf(check.calibration().stops().value()),
                check == null ? null : check.mired(),
                check == null ? null : check.duv(),
                head.verdict(),
                check == null || head.verdict() != Match.Verdict.OUT
                        ? List.of()
                        : check.likely().stream()
                                .map(FaultHypothesis::words)
                                .limit(2)
                                .toList());
    }

    /**
     * Signs a rebuild with its verdict as it is, which closes it.
     *
     * @param seen how it stood on the page that the lead looked at, or null when it is not told
     * @param byEye why it is signed though it is not proved, or null
     * @param says what the readings say
     * @throws Refusal when it stands otherwise by now, or is not proved and nobody says why it is signed
     */
    MatchView.VerdictView sign(
            long runId,
            RebuildVerdict.@Nullable Standing seen,
            @Nullable String byEye,
            DiagnosisView says,
            String author) {
        rebuild.requireOpen(runId, rebuild.built(runId).shot().id());
        BuiltRun run = rebuild.built(runId);
        MatchView.VerdictView verdict = verdict(run);
        MatchView.ShotVerdict match = verdict.match();
        String line = new RebuildVerdict(Objects.requireNonNull(match.standing()), match.title()).signed(seen, byEye);
        List<String> off = verdict.heads().stream()
                .filter(h -> h.verdict() == Match.Verdict.OUT)
                .map(MatchView.HeadLine::name)
                .toList();
        rebuild.sign(
                runId,
                author,
                "%s%s %d of %d steps."
                        .formatted(
                                line,
                                off.isEmpty() ? "" : " Off alone: %s.".formatted(String.join(", ", off)),
                                verdict.done(),
                                verdict.steps()),
                json.write(verdict.signing(line, says)));
        return verdict(runId);
    }

    private JudgedBy by(SceneMatchEntity settings, long sceneId) {
        return new JudgedBy(settings.school(), monitor.curve(sceneId));
    }

    private SceneMatchEntity settings(long sceneId) {
        return scenes.findById(sceneId).orElseGet(() -> new SceneMatchEntity(sceneId));
    }

    /** @throws EditConflict when somebody else changed it since that version */
    void judgeBy(long sceneId, long referenceShotId, RatioConvention school, long version) {
        if (shots.get(referenceShotId).sceneId() != sceneId) {
            throw new Refusal("referenceShotId", "Choose a shot of this scene as the reference.");
        }
        SceneMatchEntity by = settings(sceneId);
        if (by.version() != version) {
            throw new EditConflict(
                    "Someone changed what this scene is judged by since you opened it. Look again.", by.version());
        }
        scenes.saveAndFlush(by.fill(referenceShotId, school));
    }

    /** @throws EditConflict when somebody else changed it since that version */
    long judge(long shotId, TolerancePreset close, Map<Aspect, Double> own, long version) {
        Shot shot = shots.get(shotId);
        ShotMatchEntity entity = closeness.findById(shotId).orElseGet(() -> new ShotMatchEntity(shotId));
        if (entity.version() != version) {
            throw new EditConflict(
                    "Someone changed the tolerances of %s since you opened them. Look again."
                            .formatted(shot.card().slate()),
                    entity.version());
        }
        close.usual().with(own);
        closeness.saveAndFlush(entity.fill(close, json.write(new Own(own))));
        return shot.sceneId();
    }

    /**
     * Says that a line is right by eye, in the place of what was said before.
     *
     * @return the scene
     */
    long sayByEye(long shotId, @Nullable Long runId, Aspect aspect, String reason, String author) {
        takeBackByEye(shotId, runId, aspect);
        byEye.save(new ByEyeEntity(
                shotId, runId, aspect, new Waiver(Waiver.Cause.BY_EYE, reason, author), clock.instant()));
        return shots.get(shotId).sceneId();
    }

    long takeBackByEye(long shotId, @Nullable Long runId, Aspect aspect) {
        if (runId == null) {
            byEye.deleteByShotIdAndRunIdIsNullAndAspect(shotId, aspect);
        } else {
            rebuild.requireOpen(runId, shotId);
            byEye.deleteByShotIdAndRunIdAndAspect(shotId, runId, aspect);
        }
        byEye.flush();
        return shots.get(shotId).sceneId();
    }
}
