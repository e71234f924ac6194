package org.oblume.server.proof;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ShotState;
import org.oblume.core.proof.Diagnosis;
import org.oblume.core.proof.Fault;
import org.oblume.core.proof.Inference;
import org.oblume.core.proof.MeterReadings;
import org.oblume.core.proof.ProofReading;
import org.oblume.core.proof.Spread;
import org.oblume.core.proof.Suspects;
import org.oblume.server.kit.KitService;
import org.oblume.server.metering.LightCalibrations;
import org.oblume.server.metering.MeterService;
import org.oblume.server.rebuild.BuiltRun;
import org.oblume.server.rebuild.RebuildService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds what is wrong with a rebuild. All that could be wrong is worked out once for a record, beside the calls. */
@Service
@Transactional(readOnly = true)
class ProofService {

    private static final int MOST_FINDINGS = 4;
    private static final int WHOLE = 100;
    /** Less of it is not told: hardly anything else explains the readings worse. */
    private static final int LEAST_PERCENT = 2;

    private final RebuildService rebuild;
    private final MeterService meter;
    private final LightCalibrations calibrations;
    private final KitService kit;
    private final KnownSuspects known;

    ProofService(
            RebuildService rebuild,
            MeterService meter,
            LightCalibrations calibrations,
            KitService kit,
            KnownSuspects known) {
        this.rebuild = rebuild;
        this.meter = meter;
        this.calibrations = calibrations;
        this.kit = kit;
        this.known = known;
    }

    DiagnosisView diagnosis(long runId) {
        BuiltRun run = rebuild.built(runId);
        ShotState state = run.built().state();
        Suspects suspects = known.of(
                        run.built().scene(),
                        state,
                        run.built().calibrations(calibrations.of(run.record())),
                        kit.stock())
                .getNow(null);
        if (suspects == null) {
            return DiagnosisView.NOT_READY;
        }
        List<ProofReading> readings = meter.ofRun(runId).stream()
                .flatMap(r -> MeterReadings.of(suspects.shot(), r))
                .toList();
        Diagnosis found = new Inference(suspects, Spread.USUAL)
                .diagnose(readings, MeterReadings.wanted(suspects.shot(), readings));
        ProofReading.Wanted next = readings.isEmpty() ? null : found.next();
        return new DiagnosisView(
                true,
                readings.size(),
                found.asRecorded(),
                found.byChance(),
                found.asRecorded() ? List.of() : findings(found),
                next == null ? null : words(run.built().scene(), suspects, next),
                next == null ? null : line(run.built().scene(), suspects, next));
    }

    /** That at the likeliest things first, the others by how likely they are. */
    private static List<DiagnosisView.Finding> findings(Diagnosis found) {
        Stream<Diagnosis.Finding> others = found.findings().stream()
                .skip(1)
                .sorted(Comparator.comparingDouble((Diagnosis.Finding f) -> -f.share()));
        return Stream.concat(found.findings().stream().limit(1), others)
                .map(ProofService::finding)
                .filter(f -> f.percent() >= LEAST_PERCENT)
                .limit(MOST_FINDINGS)
                .toList();
    }

    private static DiagnosisView.Finding finding(Diagnosis.Finding finding) {
        return new DiagnosisView.Finding(
                finding.faults().stream().map(Fault::words).toList(), finding.isLikely(), (int)
                        Math.round(WHOLE * finding.share()));
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
