package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Daylight;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Site;
import org.oblume.core.plot.Surface;

/** The light of sky and sun on a face, by the closed form or piece by piece. */
class DaylightTest {

    @Test
    void aWindowIsAsBrightAsItWasMetered() {
        Stage stage = Stage.outdoors().window("window", Role.AMBIENCE, 0, 10, 1.5, 180);
        stage.tie("window", new Daylight(3000, 0, null, null)).tie("window", new ColourTemperature(6500));
        double radius = Math.sqrt(2 / Math.PI);
        assertThat(stage.mark().sources().get(0).facingLux())
                .isCloseTo(3000 * 2 / Math.PI / (100 + radius * radius), within(0.1));
    }

    @Test
    void theSunComesThroughTheWindowFromWhereItStands() {
        SetPlan bare = Stage.outdoors().set();
        Instant noon = Instant.parse("2026-03-20T12:07:00Z"); // the sun stands 40° up in the south
        double high = 1.5 + 3 * Math.tan(Math.toRadians(40));
        Stage stage = Stage.outdoors().at(new Site(50, 0)).window("window", Role.AMBIENCE, 0, -3, high, 0);
        stage.tie("window", new Daylight(0, 50_000, noon, null));
        MarkLight.SourceAtMark sun = stage.mark().sources().get(0);
        assertThat(sun.facingLux()).isCloseTo(50_000, within(50.0));
        assertThat(sun.from().degrees()).isCloseTo(180, within(1.0));
        assertThat(sun.elevationDeg()).isCloseTo(40, within(0.5));
        assertThat(sun.angularSizeDeg()).isCloseTo(0.53, within(1e-3));
        assertThat(stage.tie("window", new Daylight(0, 50_000, noon, noon.plusSeconds(3 * 3600)))
                        .mark()
                        .sources()
                        .get(0)
                        .facingLux())
                .as("three hours on it has left the pane")
                .isZero();
        assertThat(stage.with(bare).mark().lit().lux())
                .as("a place that is not known has no sun")
                .isZero();
    }

    @Test
    void daylightFollowsTheSunDown() {
        SetPlan there = new SetPlan(
                null,
                0,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                null,
                Surface.grey(0),
                null,
                null,
                new org.oblume.core.plot.Site(50, 0));
        Instant noon = Instant.parse("2026-03-20T12:00:00Z");
        double before = Double.MAX_VALUE;
        for (int hours = 0; hours <= 8; hours += 2) {
            double now = SkyChange.of(there.site(), new Daylight(1000, 0, noon, noon.plusSeconds(hours * 3600L)))
                    .sky();
            assertThat(now).isLessThan(before);
            before = now;
        }
        assertThat(before).isZero();
    }

    @ParameterizedTest
    @CsvSource({"0.5, 0.1", "1, 0.4", "2, 1", "0.3, 0.5", "6, 2"})
    void aWindowIsWhatItsPiecesAddUpTo(double distance, double radius) {
        int n = 400;
        double side = radius * Math.sqrt(Math.PI);
        double sum = 0;
        for (int i = 0; i < n; i++) { // each bit sends I_n·cosψ per area; the meter sees it at the same angle
            for (int j = 0; j < n; j++) {
                double x = ((i + 0.5) / n - 0.5) * side;
                double z = ((j + 0.5) / n - 0.5) * side;
                double squared = distance * distance + x * x + z * z;
                double cosine = distance / Math.sqrt(squared);
                sum += 1000 / (side * side) * (side / n) * (side / n) * cosine * cosine / squared;
            }
        }
        MarkLight disc = discAt(distance, radius);
        assertThat(disc.sources().get(0).facingLux()).isCloseTo(sum, within(sum * 0.03));
    }

    private static MarkLight discAt(double distance, double radius) {
        double side = radius * Math.sqrt(Math.PI);
        return Stage.outdoors()
                .window("pane", Role.AMBIENCE, side, side, 0, distance, Stage.FACE_M, 180)
                .tie("pane", new Daylight(1000 * Math.PI / (side * side), 0, null, null))
                .mark();
    }
}
