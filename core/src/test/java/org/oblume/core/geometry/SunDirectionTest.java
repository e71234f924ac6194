package org.oblume.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.oblume.core.Cases;

class SunDirectionTest {

    @TestFactory
    Stream<DynamicTest> theSunStandsWhereTheAlmanacSays() {
        return Cases.answered("sun", c -> {
            SunDirection sun = SunDirection.at(
                    c.number("latitude"),
                    c.number("longitude"),
                    OffsetDateTime.parse(c.text("instant")).toInstant());
            double apart = Math.abs(
                    sun.azimuth().degrees() - c.answer().get("azimuthDeg").asDouble());
            assertThat(Math.min(apart, 360 - apart))
                    .isLessThanOrEqualTo(c.tolerance().get("azimuthDeg").asDouble());
            c.assertAnswer("elevationDeg", sun.elevationDeg());
        });
    }

    @Test
    void noonIsTheSameFromEitherSideOfTheDateLine() {
        Instant noon = Instant.parse("2026-03-20T00:00:00Z");
        SunDirection east = SunDirection.at(10, 180, noon);
        SunDirection west = SunDirection.at(10, -180, noon);
        assertThat(east.elevationDeg()).isCloseTo(west.elevationDeg(), within(1e-6));
    }

    @Test
    void aPlaceOffTheGlobeIsRefused() {
        assertThatThrownBy(() -> SunDirection.at(95, 8, Instant.EPOCH)).hasMessageContaining("latitude");
    }
}
