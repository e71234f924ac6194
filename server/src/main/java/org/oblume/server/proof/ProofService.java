package org.oblume.server.proof;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.proof.Diagnosis;
import org.oblume.core.proof.Fault;
import org.oblume.core.proof.Inference;
import org.oblume.core.proof.MeterReadings;
import org.oblume.core.proof.ProofReading;
import org.oblume.core.proof.Spread;
import org.oblume.core.proof.Suspects;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Phrase;
import org.oblume.server.kit.KitService;
import org.oblume.server.metering.LightCalibrations;
import org.oblume.server.metering.MeterService;
import org.oblume.server.production.ProductionService;
import org.oblume.server.rebuild.BuiltRun;
import org.oblume.server.rebuild.RebuildService;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds what is wrong with a rebuild. All that could be wrong is worked out once for a record, beside the calls. */
@Service
@Transactional(readOnly = true)
public class ProofService {

    private static final int MOST_FINDINGS = 4;
    private static final int WHOLE = 100;
    /** Rarer than this by chance it is said. */
    private static final double DOUBTFUL = 0.05;
    /** Less of it is not told: hardly anything else explains the readings worse. */
    private static final int LEAST_PERCENT = 2;

    private final RebuildService rebuild;
    private final MeterService meter;
    private final LightCalibrations calibrations;
    private final KitService kit;
    private final KnownSuspects known;
    private final ProductionService productions;
    private final RecordJson json;

    ProofService(
            RebuildService rebuild,
            MeterService meter,
            LightCalibrations calibrations,
            KitService kit,
            KnownSuspects known,
            ProductionService productions,
            RecordJson json) {
        this.rebuild = rebuild;
        this.meter = meter;
        this.calibrations = calibrations;
        this.kit = kit;
        this.known = known;
        this.productions = productions;
        this.json = json;
    }

    /** As far as all that could be wrong is worked out by now. */
    public DiagnosisView diagnosis(long runId) {
        BuiltRun run = rebuild.built(runId);
        Suspects suspects = suspects(run).getNow(null);
        if (suspects != null) {
            return diagnosis(run, suspects);
        }
        long production = run.record().scene().productionId();
        return DiagnosisView.before(!meter.ofRun(runId).isEmpty(), production, spread(production));
    }

    /** Waits until all that could be wrong is worked out. */
    public DiagnosisView whole(long runId) {
        BuiltRun run = rebuild.built(runId);
        if (meter.ofRun(runId).isEmpty()) {
            long production = run.record().scene().productionId();
            return DiagnosisView.before(false, production, spread(production));
        }
        return diagnosis(run, suspects(run).join());
    }

    private CompletableFuture<Suspects> suspects(BuiltRun run) {
        return known.of(
                run.built().scene(),
                run.built().state(),
                run.built().calibrations(calibrations.of(run.record())),
                kit.stock());
    }

    private DiagnosisView diagnosis(BuiltRun run, Suspects suspects) {
        List<ProofReading> readings = meter.ofRun(run.head().id()).stream()
                .flatMap(r -> MeterReadings.of(suspects.shot(), r))
                .toList();
        long production = run.record().scene().productionId();
        Spread spread = spread(production);
        Diagnosis found =
                new Inference(suspects, spread).diagnose(readings, MeterReadings.wanted(suspects.shot(), readings));
        ProofReading.Wanted next = readings.isEmpty() ? null : found.next();
        return new DiagnosisView(
                true,
                said(found, readings.size()),
                readings.size(),
                found.asRecorded(),
                found.byChance(),
                found.asRecorded() ? List.of() : findings(suspects, found),
                next == null ? null : words(run.built().scene(), suspects, next),
                next == null ? null : line(run.built().scene(), suspects, next),
                production,
                spread);
    }

    private Spread spread(long productionId) {
        return Optional.ofNullable(productions.spread(productionId))
                .map(kept -> json.read(kept, Spread.class))
                .orElse(Spread.USUAL);
    }

    /**
     * Keeps how far the lights and meters of a production stray.
     *
     * @param seen what they were when they were changed
     * @throws EditConflict when somebody else changed them since
     */
    @Transactional
    Spread keep(long productionId, Spread seen, Spread spread) {
        Spread before = spread(productionId);
        if (!before.equals(seen)) {
            throw new EditConflict(
                    "Someone changed how far lights and meters stray since you opened it. Look again.", before);
        }
        productions.keepSpread(productionId, json.write(spread.checked()));
        return spread;
    }

    private static String said(Diagnosis found, int read) {
        if (read == 0) {
            return DiagnosisView.NOTHING_READ;
        }
        if (!found.asRecorded()) {
            return found.findings().isEmpty()
                    ? "Not as recorded, and nothing that is looked for explains it."
                    : "Not as recorded.";
        }
        if (found.byChance() < DOUBTFUL) {
            return "Doubtful: a rebuild as recorded reads so far off one time in %.0f. Read on before it is called off."
                    .formatted(1 / found.byChance());
        }
        return "%s as the record predicts, within what stands and meters spread."
                .formatted(read == 1 ? "The one reading is" : "All %d readings are".formatted(read));
    }

    /** That at the likeliest things first, the others by how likely they are. */
    private static List<DiagnosisView.Finding> findings(Suspects suspects, Diagnosis found) {
        Stream<Diagnosis.Finding> others = found.findings().stream()
                .skip(1)
                .sorted(Comparator.comparingDouble((Diagnosis.Finding f) -> -f.share()));
        return Stream.concat(found.findings().stream().limit(1), others)
                .map(f -> finding(suspects, f, found.next()))
                .filter(f -> f.percent() >= LEAST_PERCENT)
                .limit(MOST_FINDINGS)
                .toList();
    }

    private static DiagnosisView.Finding finding(
            Suspects suspects, Diagnosis.Finding finding, ProofReading.@Nullable Wanted next) {
        return new DiagnosisView.Finding(
                finding.faults().stream().map(Fault::words).toList(),
                finding.isLikely(),
                (int) Math.round(WHOLE * finding.share()),
                next == null ? null : figures(suspects.wouldRead(finding.faults(), next)));
    }

    private static Phrase figures(ProofReading read) {
        Phrase light = Phrase.of(Illuminance.ofLux(Objects.requireNonNull(read.lux())));
        return read.kelvin() == null
                ? light
                : Phrase.joined(
                        ", ", List.of(light, Phrase.of(Kelvin.of(read.kelvin()).print())));
    }

    private static String words(SceneRecord scene, Suspects suspects, ProofReading.Wanted next) {
        String mark = scene.placement(next.probe().mark()).name();
        if (next.alone() != null) {
            return "%s alone at %s, the meter turned to it: stop and colour"
                    .formatted(scene.placement(next.alone()).name(), mark);
        }
        return "All lights at %s, %s".formatted(mark, MeterReadings.place(suspects.shot(), next.probe()));
    }

    private static String line(SceneRecord scene, Suspects suspects, ProofReading.Wanted next) {
        String mark = scene.placement(next.probe().mark()).name();
        if (next.alone() != null) {
            return "%s alone at %s ".formatted(scene.placement(next.alone()).name(), mark);
        }
        String place = MeterReadings.place(suspects.shot(), next.probe());
        return place.equals("lit cheek")
                ? "all at %s ".formatted(mark)
                : "%s at %s ".formatted(place.replace(" cheek", ""), mark);
    }
}
