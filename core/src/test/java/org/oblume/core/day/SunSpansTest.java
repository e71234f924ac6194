package org.oblume.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.oblume.core.Cases;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.units.Refusal;

/** When the sun comes through an opening. */
class SunSpansTest {

    private static final ZoneId WITH_SUMMER_TIME = ZoneId.of("CET");

    private static PlanPoint point(JsonNode of) {
        return PlanPoint.of(of.get("x").asDouble(), of.get("y").asDouble());
    }

    @TestFactory
    Stream<DynamicTest> workedWindows() {
        return Cases.answered("sun-window", c -> {
            JsonNode given = c.request().get("opening");
            UprightOpening opening = new UprightOpening(
                    point(given.get("from")),
                    point(given.get("to")),
                    given.get("sillM").asDouble(),
                    given.get("headM").asDouble());
            JsonNode at = c.request().get("point");
            SpacePoint point = new SpacePoint(
                    at.get("x").asDouble(), at.get("y").asDouble(), at.get("z").asDouble());
            List<LightSpan> spans = new SunSpans(
                            c.number("latitude"),
                            c.number("longitude"),
                            LocalDate.parse(c.text("date")),
                            ZoneId.of(c.text("zone")))
                    .of(sun -> opening.letsIn(sun, c.number("northDeg", 0), point));
            JsonNode wanted = c.answer().get("windows");
            assertThat(spans).hasSize(wanted.size());
            for (int i = 0; i < spans.size(); i++) {
                assertNear(
                        spans.get(i).from(),
                        wanted.get(i).get("from"),
                        c.tolerance().get("from"));
                assertNear(
                        spans.get(i).to(),
                        wanted.get(i).get("to"),
                        c.tolerance().get("to"));
            }
        });
    }

    private static void assertNear(TimeOfDay found, JsonNode wanted, JsonNode tolerance) {
        assertThat(found.minutes())
                .isCloseTo(
                        TimeOfDay.parse("time", wanted.asText()).minutes(),
                        within(tolerance == null ? 0 : tolerance.asDouble()));
    }

    /** On 29 March the clock goes from 02:00 to 03:00, on 25 October it has two hours from 02:00. */
    @Test
    void aSpanGoesOnOverTheHourThatTheClockSkipsAndCountsTheRepeatedOneOnce() {
        for (String date : List.of("2026-03-29", "2026-10-25")) {
            List<LightSpan> always = new SunSpans(52.5, 13.4, LocalDate.parse(date), WITH_SUMMER_TIME).of(sun -> true);
            assertThat(always).hasSize(1);
            assertThat(always.get(0).from().print()).isEqualTo("00:00");
            assertThat(always.get(0).to().print()).isEqualTo("23:59");
        }
    }

    @Test
    void inThePolarDayTheSunIsUpAllDayAndInThePolarNightNever() {
        ZoneId zone = ZoneId.of("CET");
        assertThat(new SunSpans(78.2, 15.6, LocalDate.parse("2026-06-21"), zone).of(sun -> sun.elevationDeg() > 0))
                .containsExactly(new LightSpan(new TimeOfDay(0), new TimeOfDay(1439)));
        assertThat(new SunSpans(78.2, 15.6, LocalDate.parse("2026-12-21"), zone).of(sun -> sun.elevationDeg() > 0))
                .isEmpty();
    }

    @Test
    void anOpeningHasAWidthAndAHeightAndThePointLiesBesideIt() {
        PlanPoint a = PlanPoint.of(0, 0);
        PlanPoint b = PlanPoint.of(2, 0);
        assertThatThrownBy(() -> new UprightOpening(a, a, 1, 2)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new UprightOpening(a, b, 2, 2)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new UprightOpening(a, b, 1, 2).requireBeside(new SpacePoint(1, 0.0005, 1)))
                .isInstanceOf(Refusal.class);
    }
}
