package org.oblume.server.metering;

import org.oblume.server.storage.DiskFullException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** Readings beside what an earlier model predicted correct nothing until they are set beside what this one predicts, at the next start that has room. */
@Component
class EarlierPredictions implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(EarlierPredictions.class);

    private final MeterService meter;

    EarlierPredictions(MeterService meter) {
        this.meter = meter;
    }

    @Override
    public void run(ApplicationArguments given) {
        if (meter.hasEarlierPredictions()) {
            try {
                meter.predictAgain();
            } catch (DiskFullException noRoom) {
                LOG.warn(
                        "What was read alone corrects nothing until a start with room on the disk: {}",
                        noRoom.getMessage());
            }
        }
    }
}
