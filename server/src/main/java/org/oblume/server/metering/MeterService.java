package org.oblume.server.metering;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.LightMix;
import org.oblume.core.complete.ProofReadings;
import org.oblume.core.exposure.Exposure;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.SurfaceLight;
import org.oblume.core.light.Turned;
import org.oblume.core.metering.FaultHypothesis;
import org.oblume.core.metering.MeterPlace;
import org.oblume.core.metering.PlausibilityCheck;
import org.oblume.core.metering.ReadRatios;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.ReadingLine;
import org.oblume.core.metering.Signals;
import org.oblume.core.metering.SoloCheck;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.Placement;
import org.oblume.core.proof.Probe;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;
import org.oblume.server.kit.KitService;
import org.oblume.server.monitor.MonitorService;
import org.oblume.server.rebuild.BuiltRun;
import org.oblume.server.rebuild.RebuildService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.ComputesAtLength;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Readings: typed, set beside what was predicted, kept. */
@Service
@Transactional
public class MeterService {

    private final StoredScenes records;
    private final RebuildService rebuild;
    private final KitService kit;
    private final ReadingRepository readings;
    private final UnitCurves units;
    private final MonitorService monitor;
    private final RecordJson json;
    private final Clock clock;
    private final LightCalibrations calibrations;

    MeterService(
            MonitorService monitor,
            StoredScenes records,
            RebuildService rebuild,
            KitService kit,
            ReadingRepository readings,
            UnitCurves units,
            RecordJson json,
            Clock clock,
            LightCalibrations calibrations) {
        this.monitor = monitor;
        this.calibrations = calibrations;
        this.records = records;
        this.rebuild = rebuild;
        this.kit = kit;
        this.readings = readings;
        this.units = units;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What is metered: a shot as recorded, or as it stands in a rebuild.
     *
     * @param light that a light alone is set beside: by its figures in a shot, by what was read of it there in a rebuild
     * @param expected by all that was read
     */
    private record Subject(
            Shot shot,
            @Nullable Long run,
            StoredScene record,
            SceneRecord recording,
            ShotState state,
            ShotLighting light,
            ShotLighting expected) {

        @Nullable
        Exposure camera() {
            return light.metering().map(ShotLighting.Metering::exposure).orElse(null);
        }

        List<Placement> marks() {
            return state.marks(recording.placements());
        }
    }

    /** Readings of a shot, the oldest first. */
    @Transactional(readOnly = true)
    public List<Reading> ofShot(long shotId) {
        return readings.findByShotIdAndRunIdIsNullOrderById(shotId).stream()
                .map(this::reading)
                .toList();
    }

    /** Readings of several shots, the oldest first, by shot; a shot without any is left out. */
    @Transactional(readOnly = true)
    public Map<Long, List<Reading>> ofShots(List<Long> shotIds) {
        return readings.findByShotIdInAndRunIdIsNullOrderById(shotIds).stream()
                .collect(Collectors.groupingBy(
                        ReadingEntity::shotId, Collectors.mapping(this::reading, Collectors.toList())));
    }

    /** Readings of a rebuild, the oldest first. */
    @Transactional(readOnly = true)
    public List<Reading> ofRun(long runId) {
        return readings.findByRunIdOrderById(runId).stream().map(this::reading).toList();
    }

    private Reading reading(ReadingEntity row) {
        return json.read(row.figures(), Reading.class);
    }

    private Subject subject(long shotId, @Nullable Long run) {
        if (run == null) {
            RecordedShot shot = records.shot(shotId);
            return new Subject(
                    shot.shot(),
                    null,
                    shot.scene(),
                    shot.record(),
                    shot.state(),
                    light(shot.record(), shot.state(), Map.of()),
                    light(shot.record(), shot.state(), calibrations.of(shot.scene())));
        }
        BuiltRun built = rebuild.built(run);
        if (built.shot().id() != shotId) {
            throw new NotFoundException("There is no such rebuild of this shot.");
        }
        SceneRecord scene = built.built().scene();
        ShotLighting light =
                light(scene, built.built().state(), built.built().calibrations(calibrations.of(built.record())));
        return new Subject(
                built.shot(), run, built.record(), scene, built.built().state(), light, light);
    }

    private static ShotLighting light(SceneRecord scene, ShotState state, Map<String, Calibration> calibrations) {
        return ShotLighting.of(scene.set(), scene.placements(), state, Set.of(), calibrations);
    }

    @ComputesAtLength
    public MeterView view(long shotId, @Nullable Long run) {
        Subject subject = subject(shotId, run);
        List<ReadingEntity> rows =
                run == null ? readings.findByShotIdAndRunIdIsNullOrderById(shotId) : readings.findByRunIdOrderById(run);
        Map<String, Calibration> calibrations = this.calibrations.of(subject.record);
        Set<String> read = new HashSet<>();
        rows.forEach(r -> Optional.ofNullable(reading(r).alone()).ifPresent(read::add));
        List<MeterView.ExpectedReading> lights = subject.light.lights().stream()
                .map(l -> toRead(subject, l, calibrations.get(l.key()), read.contains(l.key())))
                .toList();
        return new MeterView(
                shotId,
                subject.shot.card().slate(),
                subject.shot.card().description(),
                run,
                subject.marks().stream()
                        .map(m -> new MeterView.ReadMark(m.key(), m.name()))
                        .toList(),
                lights,
                rows.stream()
                        .sorted(Comparator.comparing(ReadingEntity::id).reversed())
                        .map(r -> read(subject, r))
                        .toList(),
                ProofReadings.missing(
                                subject.light, rows.stream().map(this::reading).toList())
                        .stream()
                        .map(w -> new MeterView.WantedReading(
                                name(subject, w.mark()), w.alone() == null ? null : name(subject, w.alone())))
                        .toList(),
                units.all(subject.record.scene().productionId()));
    }

    private static MeterView.ExpectedReading toRead(
            Subject subject, Placement light, @Nullable Calibration k, boolean read) {
        Optional<LightMix> predicted = subject.marks().stream()
                .findFirst()
                .flatMap(m -> subject.expected.metered(light.key(), m.key(), Turned.TO_LIGHT));
        Optional<ColourReading> white = predicted.map(LightMix::reading).filter(ColourReading::isWhite);
        return new MeterView.ExpectedReading(
                light.key(),
                light.name(),
                light.role(),
                predicted.map(p -> words(subject, p.lux())).orElse(null),
                white.map(ColourReading::kelvin).orElse(null),
                white.map(ColourReading::duv).orElse(null),
                k == null || k.k() == 1 ? null : Double.valueOf(k.stops().value()),
                read);
    }

    private static Phrase words(Subject subject, double lux) {
        return new Reading("mark", null, lux, null, null, null, null, Signals.NONE).say(subject.camera());
    }

    private MeterView.ReadingView read(Subject subject, ReadingEntity row) {
        Reading reading = reading(row);
        return new MeterView.ReadingView(
                row.id(),
                name(subject, reading.mark()),
                reading.alone() == null ? null : name(subject, reading.alone()),
                reading,
                reading.say(subject.camera()),
                beside(subject, reading),
                solo(subject, reading),
                row.author(),
                row.at());
    }

    private static String name(Subject subject, String key) {
        return subject.recording.placement(key).name();
    }

    private MeterView.@Nullable Solo solo(Subject subject, Reading reading) {
        if (reading.alone() == null) {
            return null;
        }
        Placement light = subject.recording.placement(reading.alone());
        SoloCheck check = check(subject, reading, light);
        return new MeterView.Solo(
                check.predictedLux() > 0 ? words(subject, check.predictedLux()) : null,
                check.calibration() == null
                        ? null
                        : Double.valueOf(check.calibration().stops().value()),
                check.mired(),
                check.duv(),
                check.isDoubtful(),
                check.isDoubtful() && reading.confirmedBy() == null,
                reading.confirmedBy(),
                check.likely().stream().map(FaultHypothesis::words).limit(3).toList());
    }

    private SoloCheck check(Subject subject, Reading reading, Placement light) {
        return SoloCheck.of(
                reading, light, subject.state, subject.light, kit.stock(), FaultHypothesis.Uncertainty.USUAL);
    }

    private static List<MeterView.Beside> beside(Subject subject, Reading reading) {
        List<MeterView.Beside> all = new ArrayList<>();
        if (reading.alone() == null) {
            subject.expected
                    .mark(reading.mark())
                    .ifPresent(at -> beside(
                            all, subject, "lit cheek", reading.lux(), at.lit().lux()));
            beside(all, subject, reading.mark(), MeterPlace.SHADOW, reading.shadowLux());
            beside(all, subject, reading.mark(), MeterPlace.BACKGROUND, reading.backgroundLux());
            reading.places().forEach(p -> beside(all, subject, reading.mark(), p.place(), p.lux()));
        }
        return all;
    }

    private static void beside(
            List<MeterView.Beside> all, Subject subject, String mark, MeterPlace place, @Nullable Double lux) {
        Probe.at(subject.expected, mark, place)
                .flatMap(probe -> probe.all(subject.expected))
                .ifPresent(predicted -> beside(all, subject, place.label(), lux, predicted.lux()));
    }

    private static void beside(
            List<MeterView.Beside> all, Subject subject, String what, @Nullable Double read, double predicted) {
        if (read != null && predicted > 0) {
            all.add(new MeterView.Beside(
                    what,
                    words(subject, predicted),
                    Stops.fromRatio(read / predicted).value(),
                    subject.light
                            .metering()
                            .map(m -> m.over(read))
                            .map(Stops::value)
                            .orElse(null)));
        }
    }

    /**
     * What a line says; nothing is kept.
     *
     * @param mark key of the mark that is meant when the line names none, or null for the first
     */
    @ComputesAtLength
    MeterView.ParsedReading understood(long shotId, @Nullable Long run, String line, @Nullable String mark) {
        Subject subject = subject(shotId, run);
        Reading reading = parse(subject, line, mark);
        List<Reading> before = before(subject);
        return new MeterView.ParsedReading(
                name(subject, reading.mark()),
                reading.alone() == null ? null : name(subject, reading.alone()),
                reading.say(subject.camera()),
                beside(subject, reading),
                solo(subject, reading),
                ReadRatios.of(reading, before, key -> name(subject, key), monitor.curve(subject.shot.sceneId())),
                doubt(subject, reading, before).orElse(null));
    }

    private static Reading parse(Subject subject, String line, @Nullable String mark) {
        List<Placement> marks = subject.marks();
        if (marks.isEmpty()) {
            throw new Refusal("line", "There is no mark on set to read at: place one on the plot first.");
        }
        if (mark != null && marks.stream().noneMatch(m -> m.key().equals(mark))) {
            throw new Refusal(
                    "mark",
                    "That mark is not on set in %s any more: read at %s, or put it back on the plot."
                            .formatted(subject.shot.card().slate(), marks.get(0).name()));
        }
        return ReadingLine.parse(
                line,
                subject.recording.placements(),
                subject.state,
                mark == null ? marks.get(0).key() : mark,
                subject.camera());
    }

    private List<Reading> before(Subject subject) {
        return subject.run == null ? ofShot(subject.shot.id()) : ofRun(subject.run);
    }

    private Optional<String> doubt(Subject subject, Reading reading, List<Reading> known) {
        List<Reading> before = known.stream()
                .filter(r -> r.mark().equals(reading.mark()) && r.lux() != null)
                .toList();
        double predicted = reading.alone() == null
                ? subject.expected
                        .mark(reading.mark())
                        .map(MarkLight::lit)
                        .map(SurfaceLight::lux)
                        .orElse(0.0)
                : subject.expected
                        .metered(reading.alone(), reading.mark(), reading.towards())
                        .map(LightMix::lux)
                        .orElse(0.0);
        // in a shot the newest reading corrects the one before
        Optional<String> contradicts = subject.run == null || reading.lux() == null
                ? Optional.empty()
                : PlausibilityCheck.again(
                        reading.lux(),
                        newest(
                                before,
                                r -> Objects.equals(r.alone(), reading.alone()) && r.towards() == reading.towards()),
                        predicted);
        String light = reading.alone();
        if (light == null) {
            return PlausibilityCheck.all(reading, predicted).or(() -> contradicts);
        }
        return PlausibilityCheck.alone(
                        reading,
                        check(subject, reading, subject.recording.placement(light)),
                        newest(before, r -> r.alone() == null))
                .or(() -> leftOn(subject, reading, light))
                .or(() -> contradicts);
    }

    private static @Nullable Double newest(List<Reading> before, Predicate<Reading> which) {
        return before.stream()
                .filter(which)
                .map(Reading::lux)
                .reduce((a, b) -> b)
                .orElse(null);
    }

    private static Optional<String> leftOn(Subject subject, Reading reading, String light) {
        if (reading.lux() == null || reading.towards() != Turned.TO_LIGHT) {
            return Optional.empty();
        }
        Map<String, Double> lux = Probe.towards(reading.mark(), light).lux(subject.expected);
        Map<String, Double> others = lux.entrySet().stream()
                .filter(other -> !other.getKey().equals(light))
                .collect(Collectors.toMap(other -> name(subject, other.getKey()), Map.Entry::getValue));
        return PlausibilityCheck.leftOn(reading.lux(), lux.getOrDefault(light, 0.0), others);
    }

    /**
     * Keeps a reading.
     *
     * @param sure whether it is kept though it cannot well be so
     * @throws Refusal on {@code sure} when that was not said and it cannot well be so
     */
    void add(long shotId, @Nullable Long run, String line, @Nullable String mark, boolean sure, String author) {
        if (run != null) {
            rebuild.requireOpen(run, shotId);
        }
        Subject subject = subject(shotId, run);
        Reading reading = parse(subject, line, mark);
        Optional<String> doubt = doubt(subject, reading, before(subject));
        if (doubt.isPresent() && !sure) {
            throw new Refusal("sure", doubt.get());
        }
        keep(subject, doubt.isPresent() ? reading.confirmed(author) : reading, author, clock.instant());
    }

    /**
     * A reading that something cannot be as recorded for is so, somebody says: it corrects predictions from now on.
     *
     * @return what it is of
     */
    ReadingOf confirm(long id, String person) {
        ReadingEntity row =
                readings.findById(id).orElseThrow(() -> new NotFoundException("That reading is gone already."));
        if (row.runId() != null) {
            rebuild.requireOpen(row.runId(), row.shotId());
        }
        row.figures(json.write(reading(row).confirmed(person)));
        readings.saveAndFlush(row);
        return new ReadingOf(row.shotId(), row.runId());
    }

    /** Whether there are lights that were read beside an earlier model's predictions. */
    @Transactional(readOnly = true)
    boolean hasEarlierPredictions() {
        return readings.existsByModelLessThanAndAloneIdIsNotNullAndRunIdIsNull(ReadingEntity.MODEL);
    }

    /** Works out again what an earlier model predicted of lights that were read alone. */
    void predictAgain() {
        Map<Long, Subject> shots = new HashMap<>();
        for (ReadingEntity row :
                readings.findByModelLessThanAndAloneIdIsNotNullAndRunIdIsNullOrderById(ReadingEntity.MODEL)) {
            Subject subject = shots.computeIfAbsent(row.shotId(), shot -> subject(shot, null));
            row.predicted(predicted(subject, reading(row), row.at()));
            readings.save(row);
        }
    }

    /** Readings of a shot as they are written in a file, the oldest first. */
    @Transactional(readOnly = true)
    public List<WrittenReading> written(long shotId) {
        return readings.findByShotIdAndRunIdIsNullOrderById(shotId).stream()
                .map(r -> new WrittenReading(reading(r), r.author(), r.at()))
                .toList();
    }

    /** Keeps readings as they are, from a file; what they calibrate follows from the shot as it is. */
    public void importAll(long shotId, List<WrittenReading> all) {
        if (!all.isEmpty()) {
            Subject subject = subject(shotId, null);
            all.forEach(w -> keep(subject, w.figures(), w.author(), w.at()));
        }
    }

    private void keep(Subject subject, Reading reading, String author, Instant at) {
        ReadingEntity row = readings.save(new ReadingEntity(
                subject.shot.id(),
                subject.run,
                subject.record.placementId(reading.mark()),
                reading.alone() == null ? null : subject.record.placementId(reading.alone()),
                json.write(reading),
                predicted(subject, reading, at),
                author,
                at));
        if (reading.alone() != null) {
            units.keep(
                    subject.record.scene().productionId(),
                    row.id(),
                    subject.recording.placement(reading.alone()),
                    subject.state,
                    reading,
                    author,
                    at);
        }
    }

    /** What is predicted of a light that was read alone; null when it, or where it was read, was recorded otherwise since. */
    private static @Nullable LightMix predicted(Subject subject, Reading reading, Instant at) {
        String light = reading.alone();
        if (light == null
                || Stream.of(light, reading.mark())
                        .flatMap(key -> subject.state.knots(key).stream())
                        .anyMatch(knot -> knot.attribution().at().isAfter(at))) {
            return null;
        }
        return subject.light.metered(light, reading.mark(), reading.towards()).orElse(null);
    }

    /**
     * Takes a reading out, with what it said of its unit.
     *
     * @return what it was of
     * @throws AccessDeniedException when it is somebody else's
     */
    ReadingOf delete(long id, String author) {
        ReadingEntity row =
                readings.findById(id).orElseThrow(() -> new NotFoundException("That reading is gone already."));
        if (!row.author().equals(author)) {
            throw new AccessDeniedException("%s read this: only %s takes it out. Read again: the newest holds."
                    .formatted(row.author(), row.author()));
        }
        if (row.runId() != null) {
            rebuild.requireOpen(row.runId(), row.shotId());
        }
        readings.delete(row);
        readings.flush();
        return new ReadingOf(row.shotId(), row.runId());
    }

    /** What a reading is of. */
    record ReadingOf(long shotId, @Nullable Long run) {}
}
