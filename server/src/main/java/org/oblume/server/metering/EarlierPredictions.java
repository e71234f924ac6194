package org.oblume.server.metering;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** Readings beside what an earlier model predicted would correct what this one predicts: they are set beside its own first. */
@Component
class EarlierPredictions implements ApplicationRunner {

    private final MeterService meter;

    EarlierPredictions(MeterService meter) {
        this.meter = meter;
    }

    @Override
    public void run(ApplicationArguments given) {
        meter.predictAgain();
    }
}
