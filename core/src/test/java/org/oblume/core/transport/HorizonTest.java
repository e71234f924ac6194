package org.oblume.core.transport;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HorizonTest {

    @ParameterizedTest
    @CsvSource({"0, 20", "30, 20", "75, 20", "90, 20", "90, 5", "100, 20", "60, 60", "120, 60", "95, 80", "150, 20"})
    void aSurfaceGetsOfASphereWhatStandsAboveItsHorizon(double turnedDeg, double radiusDeg) {
        double turned = Math.toRadians(turnedDeg);
        double radius = Math.toRadians(radiusDeg);
        int n = 1500;
        double sum = 0;
        double facing = 0;
        // rays over the cap of the sky that the sphere fills, each as bright; what is below the horizon brings nothing
        for (int i = 0; i < n; i++) {
            double cosine = 1 - (1 - Math.cos(radius)) * (i + 0.5) / n;
            double sine = Math.sqrt(1 - cosine * cosine);
            for (int k = 0; k < 360; k++) {
                double around = Math.toRadians(k + 0.5);
                sum += Math.max(0, cosine * Math.cos(turned) + sine * Math.cos(around) * Math.sin(turned));
            }
            facing += 360 * cosine;
        }
        assertThat(Horizon.factor(Math.cos(turned), Math.sin(radius))).isCloseTo(sum / facing, within(2e-4));
    }

    @Test
    void anAngleIsThatOfItsCosine() {
        for (double cosine = -1; cosine <= 1; cosine += 1e-3) {
            assertThat(Horizon.angle(cosine)).isCloseTo(Math.acos(cosine), within(1e-7));
        }
    }
}
