package org.oblume.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.Cases;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.TStop;

class FilterTest {

    private static final WhitePoint DAYLIGHT = WhitePoint.of(Kelvin.of(5600), Duv.NEUTRAL);

    @TestFactory
    Stream<DynamicTest> aLightBehindAStack() {
        return Cases.answered("colour-temperature", c -> {
            FilterEffect stack = FilterEffect.sum(
                    list(c.request().get("filters")).map(FilterTest::effect).toList());
            WhitePoint behind = stack.behind(c.white("sourceKelvin", "sourceDuv"));
            c.assertAnswer("kelvin", behind.kelvin().value());
            c.assertAnswer("mired", behind.kelvin().mired());
            c.assertAnswer("duv", behind.duv().value());
            c.assertAnswer("stops", stack.stops().value());
            c.assertAnswer("transmission", stack.stops().transmission());
            c.assertAnswer("x", behind.x());
            c.assertAnswer("y", behind.y());
        });
    }

    @TestFactory
    Stream<DynamicTest> theBestPrescriptionsOfAStock() {
        return Cases.answered("correction", c -> {
            List<Sheets> stock = list(c.request().get("stock"))
                    .map(s -> new Sheets(
                            s.get("name").asText(), effect(s), s.get("sheets").asInt()))
                    .toList();
            Correction.Dimming dimming = c.request().path("dimmable").asBoolean()
                    ? new Correction.Dimming(c.number("minLevelOutput", Correction.Dimming.DEFAULT_LOWEST_OUTPUT))
                    : Correction.Dimming.NONE;
            List<Prescription> found = new Correction(
                            c.white("sourceKelvin", "sourceDuv"),
                            TStop.of(c.number("sourceTStop")),
                            c.white("targetKelvin", "targetDuv"),
                            TStop.of(c.number("targetTStop")),
                            dimming)
                    .prescribe(stock, (int) c.number("maxFilters", Correction.DEFAULT_FILTERS));
            List<JsonNode> wanted = list(c.answer().get("prescriptions")).toList();
            assertThat(found).hasSameSizeAs(wanted);
            for (int i = 0; i < wanted.size(); i++) {
                Prescription p = found.get(i);
                JsonNode w = wanted.get(i);
                assertThat(p.filters())
                        .isEqualTo(list(w.get("filters")).map(JsonNode::asText).toList());
                assertThat(p.kelvin()).isCloseTo(w.get("kelvin").asDouble(), within(1e-4));
                assertThat(p.duv()).isCloseTo(w.get("duv").asDouble(), within(1e-9));
                assertThat(p.tStop().number()).isCloseTo(w.get("tStop").asDouble(), within(1e-6));
                assertThat(p.output()).isCloseTo(w.get("output").asDouble(), within(1e-6));
                assertThat(p.deltaMired().value()).isCloseTo(w.get("deltaMired").asDouble(), within(1e-6));
                assertThat(p.deltaStops().value()).isCloseTo(w.get("deltaStops").asDouble(), within(1e-6));
                assertThat(p.deltaDuv()).isCloseTo(w.get("deltaDuv").asDouble(), within(1e-9));
                assertThat(p.cost()).isCloseTo(w.get("cost").asDouble(), within(1e-4));
            }
        });
    }

    static IntStream seeds() {
        return IntStream.range(0, 40);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void whatThePrunedSearchFindsIsWhatLookingAtEveryStackFinds(int seed) {
        Random random = new Random(seed);
        List<Sheets> stock = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            stock.add(new Sheets(
                    "item " + i,
                    FilterEffect.of(
                            random.nextInt(300) - 120, random.nextInt(30) / 10.0, (random.nextInt(9) - 4) / 400.0),
                    random.nextInt(3)));
        }
        Correction.Dimming dimming = seed % 2 == 0 ? Correction.Dimming.NONE : new Correction.Dimming(0.2);
        Correction wanted = new Correction(
                WhitePoint.of(Kelvin.of(3000 + random.nextInt(4000)), Duv.of(0.004)),
                TStop.of(8),
                WhitePoint.of(Kelvin.of(2800 + random.nextInt(3000)), Duv.NEUTRAL),
                TStop.of(2 + random.nextInt(4)),
                dimming);
        assertThat(wanted.prescribe(stock, 4).stream().map(Prescription::cost))
                .isEqualTo(everyCost(wanted, stock).stream()
                        .sorted()
                        .limit(Correction.MOST)
                        .toList());
    }

    /** Costs of all stacks of up to four, each through a stock that holds just that stack. */
    private static List<Double> everyCost(Correction wanted, List<Sheets> stock) {
        List<Double> costs = new ArrayList<>();
        int[] counts = new int[stock.size()];
        do {
            int size = IntStream.of(counts).sum();
            if (size <= 4) {
                List<Sheets> just = IntStream.range(0, counts.length)
                        .mapToObj(i ->
                                new Sheets(stock.get(i).name(), stock.get(i).effect(), counts[i]))
                        .toList();
                wanted.prescribe(just, 4).stream()
                        .filter(p -> p.filters().size() == size)
                        .map(Prescription::cost)
                        .forEach(costs::add);
            }
        } while (next(counts, stock));
        return costs;
    }

    private static boolean next(int[] counts, List<Sheets> stock) {
        for (int i = 0; i < counts.length; i++) {
            if (++counts[i] <= stock.get(i).sheets()) {
                return true;
            }
            counts[i] = 0;
        }
        return false;
    }

    @Test
    void aStockOfHundredsIsStillGoneThrough() {
        List<Sheets> stock = IntStream.range(0, 400)
                .mapToObj(i -> new Sheets("item " + i, FilterEffect.of(i % 97 - 40, i % 13 / 7.0, i % 5 / 1000.0), 9))
                .toList();
        List<Prescription> best = new Correction(
                        DAYLIGHT,
                        TStop.of(8),
                        WhitePoint.of(Kelvin.of(4300), Duv.NEUTRAL),
                        TStop.of(4),
                        Correction.Dimming.NONE)
                .prescribe(stock, 3);
        assertThat(best).hasSize(5);
        assertThat(best.get(0).cost()).isLessThan(1);
    }

    @Test
    void miredShiftsAddAndCancel() {
        FilterEffect there = FilterEffect.of(109, 0.5, 0.004);
        FilterEffect back = FilterEffect.of(-109, 0.9, -0.004);
        WhitePoint round = there.plus(back).behind(DAYLIGHT);
        assertThat(round.kelvin().value()).isCloseTo(5600, within(1e-9));
        assertThat(round.duv().value()).isCloseTo(0, within(1e-15));
        assertThat(there.plus(back).stops().value()).isCloseTo(1.4, within(1e-12));
    }

    @Test
    void aStackPastTheLimitsIsRefusedAsAWhole() {
        assertThatThrownBy(() -> FilterEffect.of(-137, 1.56, 0).behind(WhitePoint.of(Kelvin.of(6500), Duv.NEUTRAL)))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("filters"));
        assertThatThrownBy(() -> FilterEffect.of(0, 1, 0.06).behind(DAYLIGHT)).hasMessageContaining("past ±0.05");
        assertThat(FilterEffect.of(0, 1, 0.05).behind(DAYLIGHT).duv().value()).isEqualTo(0.05);
    }

    private static FilterEffect effect(JsonNode filter) {
        return FilterEffect.of(
                filter.get("miredShift").asDouble(),
                filter.get("stops").asDouble(),
                filter.path("duvShift").asDouble(0));
    }

    private static Stream<JsonNode> list(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false);
    }
}
