package org.oblume.core.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.units.Refusal;

/** In which order a day costs least. */
class OrderProblemTest {

    private static final DayFrame DAY =
            new DayFrame(at("08:00"), at("18:00"), 5, List.of(new Pause(at("12:00"), at("13:30"), 45)), null);

    private static TimeOfDay at(String time) {
        return TimeOfDay.parse("time", time);
    }

    /** A day with two sets, a sun window for one shot, one wide that comes first. */
    private static OrderProblem day(int count, long seed) {
        Random random = new Random(seed);
        List<DayShot> shots = new ArrayList<>();
        List<Integer> sets = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            boolean sun = i == 2;
            shots.add(new DayShot(
                    "S" + i,
                    0,
                    10 + random.nextInt(40),
                    sun ? List.of(new LightSpan(at("10:45"), at("11:41"))) : List.of(),
                    sun,
                    null,
                    Map.of()));
            sets.add(i % 2);
        }
        double[][] pairs = new double[count + 1][count];
        for (double[] row : pairs) {
            for (int i = 0; i < count; i++) {
                row[i] = random.nextInt(70);
            }
        }
        return new OrderProblem(
                DAY,
                shots,
                (from, to) -> pairs[from + 1][to],
                sets,
                List.of(new Before(0, count - 1, "S0 is the wide")),
                0);
    }

    /** All orders, one after the other, as one would by hand. */
    private static double exhaustive(OrderProblem day) {
        double[] least = {Double.MAX_VALUE};
        permute(day, new ArrayList<>(day.planned()), 0, least);
        return least[0];
    }

    private static void permute(OrderProblem day, List<Integer> order, int at, double[] least) {
        if (at == order.size()) {
            least[0] = Math.min(least[0], day.cost(order).total());
            return;
        }
        for (int i = at; i < order.size(); i++) {
            Collections.swap(order, at, i);
            permute(day, order, at + 1, least);
            Collections.swap(order, at, i);
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void noOrderCostsLessThanTheBestAndTheBoundSaysSo(long seed) {
        OrderProblem day = day(7, seed);
        double least = exhaustive(day);
        assertThat(day.cost(day.best()).total()).isCloseTo(least, within(1e-9));
        assertThat(day.bound()).isCloseTo(least, within(1e-9));
        assertThat(day.assignment()).isLessThanOrEqualTo(least + 1e-6);
        assertThat(day.assignment()).as("it says something").isGreaterThan(0.3 * (least % 1000));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void whatIsAskedOftenIsWhatIsToldInWords(long seed) {
        OrderProblem day = day(9, seed);
        List<Integer> order = new ArrayList<>(day.planned());
        Collections.shuffle(order, new Random(seed));
        assertThat(day.total(order)).isCloseTo(day.cost(order).total(), within(1e-9));
    }

    private static double lastTakeEnds(OrderProblem day, List<Integer> order) {
        return day.schedule(order).slots().get(order.size() - 1).shootTo().minutes();
    }

    /** 11B first: it is ready when 11A's sun comes. */
    @Test
    void theCheapestOrderWaitsForNoSun() {
        DayShot a = new DayShot("11A", 0, 45, List.of(new LightSpan(at("10:45"), at("11:41"))), true, null, Map.of());
        DayShot b = DayShot.of("11B", 0, 25);
        double[][] pairs = {{105, 90}, {0, 25}, {22, 0}};
        OrderProblem day =
                new OrderProblem(DAY, List.of(a, b), (from, to) -> pairs[from + 1][to], List.of(1, 1), List.of(), 0);
        assertThat(day.best()).containsExactly(1, 0);
        assertThat(day.cost(day.planned()).waitMin()).isEqualTo(60);
        assertThat(day.cost(day.best()).waitMin()).isLessThan(60);
        assertThat(lastTakeEnds(day, day.best())).isLessThan(lastTakeEnds(day, day.planned()));
    }

    @Test
    void aBrokenNeedIsNamed() {
        OrderProblem day = day(5, 1);
        assertThat(day.cost(List.of(4, 3, 2, 1, 0)).broken()).anyMatch(b -> b.contains("S0 is the wide"));
        DayShot night = new DayShot("22A", 10, 30, List.of(), true, null, Map.of());
        OrderProblem never = new OrderProblem(DAY, List.of(night), (from, to) -> 10, List.of(0), List.of(), 0);
        assertThat(never.cost(never.planned()).broken()).containsExactly("22A is not in its light");
    }

    @Test
    void whatHasBegunStaysWhereItIs() {
        DayShot begun =
                new DayShot("4A", 0, 30, List.of(), false, new DayShot.SoFar(at("08:30"), at("09:10")), Map.of());
        OrderProblem day = new OrderProblem(
                DAY,
                List.of(begun, DayShot.of("4B", 0, 20), DayShot.of("4C", 0, 20)),
                (from, to) -> from == 0 && to == 1 ? 60 : from == 2 && to == 1 ? 5 : 20,
                List.of(0, 0, 0),
                List.of(),
                1);
        assertThat(day.best()).containsExactly(0, 2, 1);
    }

    @Test
    void aftersThatLeadRoundAreRefused() {
        List<DayShot> shots = List.of(DayShot.of("4A", 0, 10), DayShot.of("4B", 0, 10));
        assertThatThrownBy(() -> new OrderProblem(
                        DAY,
                        shots,
                        (from, to) -> 5,
                        List.of(0, 0),
                        List.of(new Before(0, 1, "said"), new Before(1, 0, "said")),
                        0))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("after itself");
    }

    @Test
    void theBoundOfALongDayIsFoundToo() {
        OrderProblem day = day(25, 3);
        double bound = day.bound();
        assertThat(bound).isBetween(25 * 5.0, day.total(day.planned()));
    }

    /** The child leaves at 09:00 and the head is elsewhere until 10:00: one order breaks neither. */
    @Test
    void whoLeavesAndWhatIsElsewhereDecideTheOrder() {
        DayShot child = new DayShot("4A", 0, 30, List.of(), false, null, at("09:00"), List.of(), Map.of());
        DayShot head = new DayShot(
                "4B",
                0,
                30,
                List.of(),
                false,
                null,
                null,
                List.of(new DayShot.Elsewhere(at("08:00"), at("08:40"), "Heron 1 is with the second unit")),
                Map.of());
        OrderProblem day = new OrderProblem(
                new DayFrame(at("08:00"), at("18:00"), 5, List.of(), null),
                List.of(head, child),
                (from, to) -> 20,
                List.of(0, 0),
                List.of(),
                0);
        assertThat(day.cost(List.of(0, 1)).broken())
                .containsExactly("4B: Heron 1 is with the second unit", "4A ends at 09:40 and has to be over by 09:00");
        assertThat(day.cost(List.of(1, 0)).broken()).isEmpty();
        assertThat(day.best()).containsExactly(1, 0);
        for (List<Integer> order : List.of(List.of(0, 1), List.of(1, 0))) {
            assertThat(day.total(order)).isEqualTo(day.cost(order).total());
        }
    }
}
