package org.oblume.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.oblume.core.units.Refusal;

/** How batteries run down over a day; figures by hand. */
class BatteryCourseTest {

    private static final DayBatteries.Battery DAB = new DayBatteries.Battery("Dab", 98, 0.9);

    private static DayShot shot(String name, double changeoverMin, double shootMin, double watts) {
        return new DayShot(name, changeoverMin, shootMin, List.of(), false, null, Map.of("Dab", watts));
    }

    private static Schedule day(DayShot... shots) {
        return Schedule.of(
                new DayFrame(TimeOfDay.parse("call", "08:00"), new TimeOfDay(TimeOfDay.LATEST_MIN), 5, List.of(), null),
                List.of(shots));
    }

    private static BatteryCourse course(DayShot... shots) {
        return BatteryCourse.of(day(shots), DAB, false);
    }

    /** 100 W through two hours are 200 Wh: a 98 Wh battery gives 88.2, 52.9 min, so that it is changed twice between takes. */
    @Test
    void aShotThatNeedsMoreThanOneBatteryHasItChangedBetweenTakes() {
        BatteryCourse day = course(shot("22A", 10, 120, 100));
        assertThat(day.changes()).hasSize(2).allMatch(BatteryCourse.Change::inTakes);
        assertThat(day.changes().get(0).at().print()).isEqualTo("09:03");
        assertThat(day.needed()).isEqualTo(3);
        assertThat(course(shot("22C", 10, 60, 88.2)).changes()).isEmpty();
    }

    /** 60 W: 30 Wh in an hour of takes and the half hour after, 58.2 left of 88.2 at 09:35, of which the next hour needs 60. */
    @Test
    void aBatteryThatWouldNotLastIsChangedInTheChangeover() {
        BatteryCourse day = course(shot("11A", 5, 30, 40), shot("11B", 15, 80, 60));
        assertThat(day.changes()).hasSize(1);
        BatteryCourse.Change change = day.changes().get(0);
        assertThat(change.shot()).isEqualTo("11B");
        assertThat(change.inTakes()).isFalse();
        assertThat(change.at().print()).isEqualTo("08:50");
        assertThat(change.emptyAt().print()).isEqualTo("09:48"); // (88.2 − 20 − 10) Wh at 60 W are 58.2 min
        assertThat(day.spans().get(0).leftTo()).isCloseTo(1 - 20 / 88.2, within(1e-9));
    }

    /** Changed at 09:00, 11:00, 13:00; each is full again two hours after it came out. */
    @Test
    void aChargerBringsBatteriesBack() {
        BatteryCourse day = course(
                shot("4A", 5, 55, 88.2), shot("4B", 60, 60, 88.2), shot("4C", 60, 60, 88.2), shot("4D", 60, 60, 88.2));
        assertThat(day.needed()).isEqualTo(4);
        assertThat(day.needed(2.0)).isEqualTo(2);
        assertThat(day.needed(1.9)).isEqualTo(2);
        assertThat(day.needed(4.0)).isEqualTo(3);
        assertThat(day.needed(40.0)).isEqualTo(4);
        assertThatThrownBy(() -> day.needed(0.0)).isInstanceOf(Refusal.class).hasMessageContaining("above 0");
    }

    @Test
    void whatDrawsInNoShotNeedsNone() {
        BatteryCourse day = course(shot("4A", 5, 60, 0));
        assertThat(day.draws()).isFalse();
        assertThat(day.needed(2.0)).isZero();
    }

    /** Watt hours: what is drawn is what the spans took, and no span takes more than a full battery. */
    @Test
    void theSpansTakeWhatIsDrawn() {
        Random any = new Random(3);
        for (int i = 0; i < 500; i++) {
            double watts = 1 + 400 * any.nextDouble();
            int shootMin = 1 + any.nextInt(600);
            BatteryCourse day = course(shot("1A", 5, shootMin, watts));
            double taken = day.spans().stream()
                    .mapToDouble(s -> (s.leftFrom() - s.leftTo()) * DAB.fullWh())
                    .sum();
            assertThat(taken).isCloseTo(watts * shootMin / 60, within(1e-6));
            assertThat(day.needed()).isEqualTo((int) Math.ceil(watts * shootMin / 60 / 88.2 - 1e-9));
        }
    }
}
