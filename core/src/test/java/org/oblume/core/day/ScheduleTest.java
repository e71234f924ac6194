package org.oblume.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.Cases;
import org.oblume.core.units.Refusal;

/** When what is set up and shot, and which battery is changed. */
class ScheduleTest {

    private static TimeOfDay at(String time) {
        return TimeOfDay.parse("time", time);
    }

    private static DayFrame day(@Nullable String now, Pause... pauses) {
        return new DayFrame(at("08:00"), at("18:00"), 5, List.of(pauses), now == null ? null : at(now));
    }

    private static DayShot inLight(String name, double changeover, double shoot, String from, String to) {
        return new DayShot(name, changeover, shoot, List.of(new LightSpan(at(from), at(to))), true, null, Map.of());
    }

    private static DayShot shot(String name, @Nullable String from, @Nullable String to) {
        return new DayShot(
                name,
                30,
                40,
                List.of(),
                false,
                new DayShot.SoFar(from == null ? null : at(from), to == null ? null : at(to)),
                Map.of());
    }

    @TestFactory
    Stream<DynamicTest> workedDays() {
        return Cases.answered("day", c -> {
            TimeOfDay start = at(c.text("start"));
            List<Pause> pauses = new ArrayList<>();
            c.request()
                    .get("pauses")
                    .forEach(p -> pauses.add(new Pause(
                            at(p.get("afterTime").asText()).notBefore(start),
                            at(p.get("beforeTime").asText()).notBefore(start),
                            p.get("minutes").asDouble())));
            DayFrame frame =
                    new DayFrame(start, at(c.text("wrap")).notBefore(start), c.number("leastMinutes", 5), pauses, null);
            List<DayShot> shots = new ArrayList<>();
            for (JsonNode s : c.request().get("shots")) {
                Map<String, Double> watts = new HashMap<>();
                s.get("watts")
                        .properties()
                        .forEach(w -> watts.put(w.getKey(), w.getValue().asDouble()));
                shots.add(new DayShot(
                        s.get("name").asText(),
                        s.get("changeoverMinutes").asDouble(),
                        s.get("shootMinutes").asDouble(),
                        List.of(),
                        false,
                        null,
                        watts));
            }
            Schedule schedule = Schedule.of(frame, shots);
            for (int i = 0; i < shots.size(); i++) {
                JsonNode wanted = c.answer().get("shots").get(i);
                Schedule.Slot slot = schedule.slots().get(i);
                assertThat(slot.setUpFrom().print())
                        .isEqualTo(wanted.get("setUpFrom").asText());
                assertThat(slot.shootFrom().print())
                        .isEqualTo(wanted.get("shootFrom").asText());
                assertThat(slot.shootTo().print())
                        .isEqualTo(wanted.get("shootTo").asText());
            }
            List<DayBatteries.Battery> batteries = new ArrayList<>();
            c.request()
                    .get("batteries")
                    .forEach(b -> batteries.add(new DayBatteries.Battery(
                            b.get("unit").asText(),
                            b.get("wattHours").asDouble(),
                            b.path("usable").asDouble(0.9))));
            DayBatteries used = DayBatteries.of(
                    schedule, batteries, c.request().path("offBetween").asBoolean());
            assertThat(used.swaps()).hasSize(c.answer().get("swaps").size());
            for (int i = 0; i < used.swaps().size(); i++) {
                assertThat(used.swaps().get(i).before())
                        .isEqualTo(c.answer().get("swaps").get(i).get("before").asText());
            }
            used.needed().forEach((unit, count) -> assertThat(count)
                    .isEqualTo(c.answer().get("needed").get(unit).asInt()));
        });
    }

    /** 11A of the second day: the end pane lets the sun in from 10:45. */
    @Test
    void whoIsReadyBeforeTheSunWaitsForIt() {
        Schedule day = Schedule.of(day(null), List.of(inLight("11A", 105, 45, "10:45", "11:41")));
        assertThat(day.slots().get(0).readyAt().print()).isEqualTo("09:45");
        assertThat(day.slots().get(0).shootFrom().print()).isEqualTo("10:45");
        assertThat(day.slots().get(0).waitsMin()).isEqualTo(60);
        assertThat(day.slots().get(0).inItsLight()).isTrue();
    }

    @Test
    void takesThatDoNotFitInTheSunAreShotWithoutItAndToldSo() {
        Schedule day = Schedule.of(day(null), List.of(inLight("11A", 200, 45, "10:45", "11:41")));
        assertThat(day.slots().get(0).inItsLight()).isFalse();
        assertThat(day.slots().get(0).waitsMin()).isZero();
    }

    @Test
    void nobodyWaitsPastTheWrap() {
        DayShot dusk = new DayShot(
                "17A", 30, 20, List.of(new LightSpan(new TimeOfDay(1920), new TimeOfDay(2000))), true, null, Map.of());
        Schedule.Slot slot = Schedule.of(day(null), List.of(dusk)).slots().get(0);
        assertThat(slot.inItsLight()).isFalse();
        assertThat(slot.waitsMin()).isZero();
    }

    @Test
    void aShotThatNeedsALightThatNeverComesIsInNone() {
        DayShot night = new DayShot("22A", 30, 40, List.of(), true, null, Map.of());
        assertThat(Schedule.of(day(null), List.of(night)).slots().get(0).inItsLight())
                .isFalse();
    }

    @Test
    void whatRanLongMovesTheRestOfTheDay() {
        List<DayShot> plan = List.of(shot("4A", null, null), shot("4B", null, null));
        List<DayShot> really = List.of(shot("4A", "09:30", "10:50"), shot("4B", null, null));
        assertThat(Schedule.of(day(null), plan).slots().get(1).shootFrom().print())
                .isEqualTo("09:40");
        assertThat(Schedule.of(day("10:55"), really).slots().get(1).shootFrom().print())
                .isEqualTo("11:20");
        assertThat(Schedule.of(day("12:00"), really).slots().get(1).shootFrom().print())
                .as("it has not begun, so it cannot have been shot before now")
                .isEqualTo("12:00");
    }

    @Test
    void takesThatRunGoOnUntilNowAtLeast() {
        Schedule day = Schedule.of(day("11:30"), List.of(shot("4A", "10:00", null)));
        assertThat(day.slots().get(0).shootTo().print()).isEqualTo("11:30");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void nothingOverlapsAndTimeNeverGoesBack(long seed) {
        Random random = new Random(seed);
        List<DayShot> shots = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            shots.add(DayShot.of("S" + i, random.nextInt(60), 1 + random.nextInt(60)));
        }
        Pause meal = new Pause(at("12:00"), at("13:30"), 45);
        Schedule day = Schedule.of(day(null, meal), shots);
        TimeOfDay before = at("08:00");
        for (Schedule.Slot slot : day.slots()) {
            assertThat(slot.setUpFrom()).isGreaterThanOrEqualTo(before);
            assertThat(slot.shootFrom().minus(slot.setUpFrom()))
                    .isEqualTo(Math.max(5, slot.shot().changeoverMin()));
            for (Schedule.TakenPause pause : day.pauses()) {
                assertThat(slot.shootTo().compareTo(pause.from()) <= 0
                                || slot.setUpFrom().compareTo(pause.to()) >= 0)
                        .as("%s lies in a pause", slot.shot().name())
                        .isTrue();
            }
            before = slot.shootTo();
        }
    }

    @Test
    void aTimeIsOfTheNextDayWhenItIsBeforeTheStart() {
        assertThat(at("04:30").notBefore(at("19:00")).minus(at("19:00"))).isEqualTo(570);
        assertThat(at("04:30").notBefore(at("19:00")).print()).isEqualTo("04:30");
        assertThatThrownBy(() -> at("8:00")).isInstanceOf(Refusal.class).hasMessageContaining("08:00");
        assertThatThrownBy(() -> at("24:00")).isInstanceOf(Refusal.class);
    }

    /** On 29 March its clock goes from 02:00 to 03:00, on 25 October from 03:00 back to 02:00. */
    @Test
    void aTimeOfADayIsWhatTheClockShowsOverAChangeOfSummerTimeAndOverMidnight() {
        ZoneId zone = ZoneId.of("CET");
        for (String day : List.of("2026-03-29", "2026-10-25", "2026-06-01")) {
            LocalDate date = LocalDate.parse(day);
            for (String clock : List.of("00:30", "08:00", "23:59")) {
                assertThat(LocalDateTime.ofInstant(at(clock).on(date, zone), zone))
                        .isEqualTo(date.atTime(LocalTime.parse(clock)));
                assertThat(TimeOfDay.of(at(clock).on(date, zone), date, zone)).isEqualTo(at(clock));
            }
            TimeOfDay late = at("01:15").notBefore(at("14:00"));
            assertThat(LocalDateTime.ofInstant(late.on(date, zone), zone))
                    .isEqualTo(date.plusDays(1).atTime(1, 15));
        }
        assertThat(at("02:30").on(LocalDate.parse("2026-03-29"), zone))
                .isEqualTo(Instant.parse("2026-03-29T01:30:00Z"));
    }

    @Test
    void aDayThatWrapsWhenItBeginsIsRefused() {
        assertThatThrownBy(() -> new DayFrame(at("08:00"), at("08:00"), 5, List.of(), null))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("no time in it");
    }
}
