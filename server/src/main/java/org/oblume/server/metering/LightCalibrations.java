package org.oblume.server.metering;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.oblume.core.metering.Reading;
import org.oblume.core.photometry.Calibration;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.support.CommitCaches;
import org.oblume.server.support.CommitCaches.CommitCache;
import org.oblume.server.support.RecordJson;
import org.oblume.server.support.RecordSource.Part;
import org.oblume.server.support.RecordSource.Source;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the lights of scenes were found to be, by meter. */
@Service
@Transactional(readOnly = true)
public class LightCalibrations {

    private static final int MOST_SCENES = 100;

    private final ReadingRepository readings;
    private final RecordJson json;
    private final CommitCache<Long, Read> kept;

    LightCalibrations(ReadingRepository readings, RecordJson json, CommitCaches caches) {
        this.readings = readings;
        this.json = json;
        this.kept = caches.cache(MOST_SCENES, Read::isReadFrom);
    }

    /** How the light of a scene was found against its predictions: the newest reading of each light alone, of any shot, not of a rebuild. */
    public Map<String, Calibration> of(StoredScene record) {
        return kept.get(record.scene().id(), sceneId -> read(record)).byKey();
    }

    /** @param shotIds of the scene */
    private record Read(Set<Long> shotIds, Map<String, Calibration> byKey) {

        boolean isReadFrom(Source source) {
            return source.part() == Part.READINGS && shotIds.contains(source.id());
        }
    }

    private Read read(StoredScene record) {
        Map<String, Calibration> all = new LinkedHashMap<>();
        for (ReadingEntity row : readings.findByShotIdInAndRunIdIsNullAndAloneIdIsNotNullOrderById(
                record.shots().stream().map(Shot::id).toList())) {
            Reading reading = json.read(row.figures(), Reading.class);
            if (reading.alone() != null) {
                Calibration before = all.getOrDefault(reading.alone(), Calibration.NONE);
                Calibration now = reading.correcting(before, row.predictedLux(), row.predictedWhite());
                if (!now.equals(before)) {
                    all.put(reading.alone(), now);
                }
            }
        }
        return new Read(record.shots().stream().map(Shot::id).collect(Collectors.toSet()), all);
    }
}
