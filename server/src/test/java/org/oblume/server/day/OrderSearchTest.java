package org.oblume.server.day;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.day.DayFrame;
import org.oblume.core.day.DayShot;
import org.oblume.core.day.LightSpan;
import org.oblume.core.day.OrderProblem;
import org.oblume.core.day.Pause;
import org.oblume.core.day.TimeOfDay;

/** The solver's orders beside those that are found by trying all. */
class OrderSearchTest {

    static final OrderSearch.Waiting PATIENT = waiting(Integer.MAX_VALUE);

    private static OrderSearch.Waiting waiting(int ticks) {
        AtomicInteger left = new AtomicInteger(ticks);
        return new OrderSearch.Waiting() {
            @Override
            public void better(double done, List<Integer> order) {}

            @Override
            public boolean goesOn(double done) {
                return left.decrementAndGet() > 0;
            }
        };
    }

    private static TimeOfDay at(String time) {
        return TimeOfDay.parse("time", time);
    }

    /** A day on three sets, one shot of which needs the sun; changeovers within a set are short. */
    static OrderProblem day(int count, long seed) {
        Random random = new Random(seed);
        List<DayShot> shots = new ArrayList<>();
        List<Integer> sets = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            boolean sun = i == count / 2;
            shots.add(new DayShot(
                    "S" + i,
                    0,
                    5 + random.nextInt(15),
                    sun ? List.of(new LightSpan(at("10:30"), at("11:45"))) : List.of(),
                    sun,
                    null,
                    Map.of()));
            sets.add(random.nextInt(3));
        }
        double[][] pairs = new double[count + 1][count];
        for (int from = 0; from <= count; from++) {
            for (int to = 0; to < count; to++) {
                boolean stays = from > 0 && sets.get(from - 1).equals(sets.get(to));
                pairs[from][to] = (stays ? 5 : 35) + random.nextInt(20);
            }
        }
        return new OrderProblem(
                new DayFrame(at("07:00"), at("23:00"), 5, List.of(new Pause(at("12:00"), at("13:30"), 45)), null),
                shots,
                (from, to) -> pairs[from + 1][to],
                sets,
                List.of(),
                0);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void ofNineShotsItFindsTheOrderThatCostsLeast(long seed) {
        OrderProblem day = day(9, seed);
        List<Integer> found = OrderSearch.best(day, PATIENT);
        assertThat(day.total(found)).isEqualTo(day.total(day.best()));
    }

    /** 283 is the least that runs of three million moves found. */
    @Test
    void ofTwentyFiveShotsItComesWithinThreePercentOfTheBestKnown() {
        OrderProblem day = day(25, 2);
        double found = day.total(OrderSearch.best(day, PATIENT));
        assertThat(found).isLessThanOrEqualTo(1.03 * 283).isGreaterThanOrEqualTo(day.bound());
    }

    @Test
    void theSameDayGivesTheSameAnswer() {
        OrderProblem day = day(12, 5);
        assertThat(OrderSearch.best(day, waiting(4))).isEqualTo(OrderSearch.best(day(12, 5), waiting(4)));
    }

    @Test
    void whoDoesNotWaitAnyMoreHasTheBestSoFar() {
        OrderProblem day = day(25, 7);
        List<Integer> soFar = OrderSearch.best(day, waiting(1));
        assertThat(soFar).containsExactlyInAnyOrderElementsOf(day.planned());
        assertThat(day.total(soFar)).isLessThanOrEqualTo(day.total(day.planned()));
    }
}
