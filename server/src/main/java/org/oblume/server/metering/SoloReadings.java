package org.oblume.server.metering;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.oblume.core.metering.Reading;
import org.oblume.core.units.Stops;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was read of lights alone, beside what their kinds are predicted to give, and what units measured when they were dialled. */
@Service
@Transactional(readOnly = true)
public class SoloReadings {

    private final ReadingRepository readings;
    private final UnitCurves curves;
    private final RecordJson json;

    SoloReadings(ReadingRepository readings, UnitCurves curves, RecordJson json) {
        this.readings = readings;
        this.curves = curves;
        this.json = json;
    }

    /**
     * A reading of one light alone, not of a rebuild.
     *
     * @param key of its placement
     * @param overStops how much more it gave than its kind, stops
     */
    public record SoloReading(long shotId, String key, Instant at, double overStops) {}

    /** Of a scene, the oldest first. */
    public List<SoloReading> of(StoredScene record) {
        List<SoloReading> all = new ArrayList<>();
        for (ReadingEntity row : readings.findByShotIdInAndRunIdIsNullAndAloneIdIsNotNullOrderById(
                record.shots().stream().map(Shot::id).toList())) {
            Reading reading = json.read(row.figures(), Reading.class);
            Double predicted = row.predictedLux();
            if (reading.alone() != null && reading.lux() != null && predicted != null && predicted > 0) {
                all.add(new SoloReading(
                        row.shotId(),
                        reading.alone(),
                        row.at(),
                        Stops.fromRatio(reading.lux() / predicted).value()));
            }
        }
        return all;
    }

    /** What the units of a production measured when they were dialled. */
    public List<MeterView.UnitPath> curves(long productionId) {
        return curves.all(productionId);
    }
}
