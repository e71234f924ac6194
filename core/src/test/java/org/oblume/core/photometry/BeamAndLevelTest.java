package org.oblume.core.photometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** What a lamp sends out, and how it follows its level. */
class BeamAndLevelTest {

    private static final double PEAK = 9000;

    @Test
    void theFluxOfABeamIsWhatFineSlicesOfItAddUpTo() {
        BeamShape beam = new BeamShape(PEAK, 60);
        double sum = 0;
        int slices = 200_000;
        for (int i = 0; i < slices; i++) {
            double angle = (i + 0.5) * 0.8 / slices;
            sum += 2 * Math.PI * beam.candela(angle) * Math.sin(angle) * 0.8 / slices;
        }
        assertThat(beam.lumenWithin(0.8)).isCloseTo(sum, within(sum * 1e-6));
        assertThat(new BeamShape(PEAK, 110).litRadiusM(2)).isEmpty();
        assertThat(beam.litRadiusM(2).orElseThrow()).isCloseTo(2 * Math.tan(Math.toRadians(1.823 * 30)), within(1e-9));
    }

    @Test
    void aFilamentReddensAndDrawsLessAsItIsDimmed() {
        assertThat(LevelCurve.TUNGSTEN.kelvinFactor(0.5)).isCloseTo(Math.pow(0.5, 0.42), within(1e-12));
        assertThat(LevelCurve.LINEAR.kelvinFactor(0.5)).isEqualTo(1);
        assertThat(LevelCurve.TUNGSTEN.drawWatts(1000, 50, 0.5)).isCloseTo(1000 * Math.pow(0.5, 1.54), within(1e-9));
        assertThat(LevelCurve.SQUARE.drawWatts(100, 20, 0.5)).isCloseTo(40, within(1e-12));
    }
}
