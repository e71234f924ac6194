package org.oblume.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BearingTest {

    @ParameterizedTest
    @CsvSource({
        "10, 350, 20",
        "350, 10, -20",
        "180, 0, 180",
        "0, 180, 180",
        "90, 90, 0",
        "359, 0, -1",
        "179, 0, 179",
        "181, 0, -179"
    })
    void oneTurnsTheShorterWay(double to, double from, double turn) {
        assertThat(Bearing.ofDegrees(to).minus(Bearing.ofDegrees(from))).isCloseTo(turn, within(1e-9));
    }

    @Test
    void turningThereAndAddingComesOut() {
        for (int from = 0; from < 360; from += 7) {
            for (int to = 0; to < 360; to += 11) {
                double turn = Bearing.ofDegrees(to).minus(Bearing.ofDegrees(from));
                assertThat(turn).isGreaterThan(-180).isLessThanOrEqualTo(180);
                assertThat(Bearing.ofDegrees(from + turn).degrees()).isCloseTo(to, within(1e-9));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "0, north",
        "22, north",
        "23, north-east",
        "90, east",
        "135, south-east",
        "200, south",
        "225, south-west",
        "270, west",
        "315, north-west",
        "338, north"
    })
    void theCompassNamesTheNearestOfEightPoints(double degrees, String point) {
        assertThat(Bearing.ofDegrees(degrees).compass()).isEqualTo(point);
    }
}
