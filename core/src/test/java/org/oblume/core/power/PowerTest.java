package org.oblume.core.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.oblume.core.Cases;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.units.Percent;

class PowerTest {

    @TestFactory
    Stream<DynamicTest> howHeavilyCircuitsAreLoaded() {
        return Cases.answered("power", c -> {
            LoadPlan plan = LoadPlan.of(
                    c.number("volts"),
                    c.number("continuousFraction", LoadPlan.DEFAULT_CONTINUOUS_FRACTION),
                    list(c.request().get("circuits")).map(PowerTest::circuit).toList());
            for (int i = 0; i < plan.circuits().size(); i++) {
                LoadPlan.LoadedCircuit found = plan.circuits().get(i);
                JsonNode wanted = c.answer().get("circuits").get(i);
                assertThat(found.amps()).isCloseTo(wanted.get("amps").asDouble(), within(1e-6));
                assertThat(found.limitAmps()).isCloseTo(wanted.get("limitAmps").asDouble(), within(1e-6));
                assertThat(found.utilisation())
                        .isCloseTo(wanted.get("utilisation").asDouble(), within(1e-6));
                assertThat(found.over()).isEqualTo(wanted.get("over").asBoolean());
            }
            for (int phase = 1; phase <= 3; phase++) {
                assertThat(plan.phaseAmps().get(phase - 1))
                        .isCloseTo(
                                c.answer()
                                        .get("phaseAmps")
                                        .get(String.valueOf(phase))
                                        .asDouble(),
                                within(1e-6));
            }
            c.assertAnswer("unbalance", plan.unbalance());
        });
    }

    @TestFactory
    Stream<DynamicTest> howLongABatteryLasts() {
        return Cases.answered("battery", c -> {
            BatteryRun run = BatteryRun.of(
                    c.number("wattHours"),
                    c.number("usable", BatteryRun.DEFAULT_USABLE),
                    c.number("watts"),
                    c.number("idleWatts", 0),
                    Percent.of(c.number("levelPercent")),
                    LevelCurve.valueOf(c.text("curve")));
            c.assertAnswer("drawWatts", run.drawWatts());
            c.assertAnswer("hours", run.hours());
        });
    }

    @Test
    void whatAHeadDrawsAtALowerLevelLastsLonger() {
        double before = 0;
        for (double level = 100; level > 0; level -= 5) {
            double hours = BatteryRun.of(98, 0.9, 60, 4, Percent.of(level), LevelCurve.LINEAR)
                    .hours();
            assertThat(hours).isGreaterThan(before);
            before = hours;
        }
    }

    @Test
    void aCircuitAtItsLimitIsNotOverIt() {
        Circuit full = new Circuit("full", 16, 1, List.of(new Load(12.8 * 230, 1)));
        assertThat(LoadPlan.of(230, 0.8, List.of(full)).circuits().get(0).over())
                .isFalse();
        Circuit over = new Circuit("over", 16, 1, List.of(new Load(12.9 * 230, 1)));
        assertThat(LoadPlan.of(230, 0.8, List.of(over)).circuits().get(0).over())
                .isTrue();
    }

    @Test
    void aLongThinCableDropsMore() {
        assertThat(new Cable(50, 2.5).dropVolts(10)).isCloseTo(7, within(1e-9));
        assertThat(new Cable(50, 1.5).dropVolts(10)).isGreaterThan(new Cable(50, 2.5).dropVolts(10));
    }

    private static Circuit circuit(JsonNode node) {
        return new Circuit(
                node.get("name").asText(),
                node.get("breakerAmps").asDouble(),
                node.has("phase") ? node.get("phase").asInt() : null,
                list(node.get("loads"))
                        .map(l -> new Load(
                                l.get("watts").asDouble(), l.path("powerFactor").asDouble(1)))
                        .toList());
    }

    private static Stream<JsonNode> list(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false);
    }
}
