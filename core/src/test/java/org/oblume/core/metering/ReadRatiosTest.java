package org.oblume.core.metering;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.exposure.ShippedCurve;

class ReadRatiosTest {

    private static Reading all(Double lit, Double shadow, Signals signals) {
        return new Reading("mark", null, lit, shadow, null, null, null, signals);
    }

    private static Reading alone(String light, double lux) {
        return new Reading("mark", light, lux, null, null, null, null, Signals.NONE);
    }

    private static List<String> ratios(Reading now, Reading... before) {
        return ReadRatios.of(now, List.of(before), key -> key, ShippedCurve.BT709);
    }

    @Test
    void bothSchoolsAreToldOfTheCheeks() {
        assertThat(ratios(all(400.0, 100.0, Signals.NONE)))
                .containsExactly("lit to shadow 4:1, 2.0 stop; by key alone to fill alone 3:1");
    }

    @Test
    void whatIsReadNowIsSetBesideWhatWasReadBeforeAtTheSameMark() {
        assertThat(ratios(
                        all(null, 50.0, Signals.NONE), all(300.0, 100.0, Signals.NONE), all(400.0, null, Signals.NONE)))
                .containsExactly("lit to shadow 8:1, 3.0 stop; by key alone to fill alone 7:1");
        assertThat(ratios(alone("fill", 100), alone("key", 300)))
                .containsExactly("key alone to fill alone 3:1, 1.6 stop; with both on, lit to shadow 4:1");
        assertThat(ratios(
                        new Reading("elsewhere", "fill", 100.0, null, null, null, null, Signals.NONE),
                        alone("key", 300)))
                .isEmpty();
    }

    /** BT.709: 52 % is (0.619/1.099)^(1/0.45) = 0.279 of white, 20 % is (0.299/1.099)^(1/0.45) = 0.0555. */
    @Test
    void signalsTellLightByTheCurveOfTheMonitor() {
        assertThat(ratios(all(null, null, new Signals(52.0, 20.0, null, null, null))))
                .containsExactly("lit to shadow on the monitor (BT.709) 5:1, 2.3 stop; by key alone to fill alone 4:1");
    }
}
