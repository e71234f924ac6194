package org.oblume.core.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.LookState;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Feed;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Refusal;

/** What a shot draws from what feeds its set; figures by hand from formulas.md. */
class PowerLoadTest {

    private static final PowerPlan.PowerSource HOUSE =
            new PowerPlan.PowerSource("House board", PowerPlan.SourceKind.HOUSE, 230, 3, null);

    private static PowerPlan.FedCircuit circuit(String name, Integer phase, Double cableM, Double areaMm2) {
        return new PowerPlan.FedCircuit(name, "House board", 16, phase, "", cableM, areaMm2);
    }

    private static PowerPlan.OtherLoad load(String name, double watts, String circuit, PowerPlan.When when) {
        return new PowerPlan.OtherLoad(name, watts, 1, circuit, when);
    }

    private static PowerPlan cart() {
        return new PowerPlan(
                List.of(HOUSE),
                List.of(circuit("B1", 1, null, null), circuit("B2", 2, 30.0, 1.5)),
                List.of(
                        load("Monitors", 690, "B2", PowerPlan.When.ALWAYS),
                        load("Charging", 207, "B2", PowerPlan.When.ALWAYS),
                        load("Kettle", 2200, "B2", PowerPlan.When.CHANGEOVERS)));
    }

    private static PowerLoad nothingLit(PowerPlan plan) {
        return PowerLoad.of(plan, List.of(), new LookState("nothing", List.of()), 0);
    }

    /** 897 W are 3.9 A; the kettle's 2200 W more are 13.5 A, 0.7 A over 80 % of 16 A; 30 m of 1.5 mm² lose 9.4 V, 4.1 %. */
    @Test
    void theKettlePutsTheCartOverItsLimitBetweenTakes() {
        PowerLoad.CircuitLoad cart = nothingLit(cart()).circuits().get(1);
        assertThat(cart.takesAmps()).isCloseTo(3.9, within(0.01));
        assertThat(cart.peakAmps()).isCloseTo(13.465, within(0.001));
        assertThat(cart.limitAmps()).isCloseTo(12.8, within(1e-9));
        assertThat(cart.over()).isTrue();
        assertThat(cart.drop().volts()).isCloseTo(9.43, within(0.01));
        assertThat(cart.drop().part()).isCloseTo(0.041, within(0.0001));
        assertThat(PowerNotice.of(nothingLit(cart())))
                .extracting(PowerNotice::text)
                .contains(
                        "B2 is 0.7 A over with Kettle: 13.5 of 12.8 A (80 % of its breaker). Move something to another circuit.",
                        "The cable to B2 loses 9.4 V, 4.1 %. In 2.5 mm² it would be 2.5 %. Unroll the drum.");
    }

    /** 0, 13.465 and 0 A: (max − mean) / mean is 2. */
    @Test
    void onePhaseAloneIsUnbalancedByTwo() {
        PowerLoad.SourceLoad house = nothingLit(cart()).sources().get(0);
        assertThat(house.unbalance()).isCloseTo(2, within(1e-9));
        assertThat(house.kva()).isCloseTo(3.097, within(0.001));
        assertThat(house.share()).isNull();
    }

    @Test
    void aGeneratorIsToldItsShareAndOneOverEightyPercentIsToBeEased() {
        PowerPlan.PowerSource small =
                new PowerPlan.PowerSource("Small generator", PowerPlan.SourceKind.GENERATOR, 230, 1, 2.0);
        PowerPlan plan = new PowerPlan(
                List.of(small),
                List.of(new PowerPlan.FedCircuit("G1", "small generator", 16, null, "", null, null)),
                List.of(load("Chargers", 1700, "g1", PowerPlan.When.ALWAYS)));
        PowerLoad load = nothingLit(plan);
        assertThat(load.sources().get(0).share()).isCloseTo(0.85, within(1e-9));
        assertThat(PowerNotice.of(load)).anyMatch(n -> n.act() && n.text().contains("85 % of its rating"));
    }

    @Test
    void whatHangsOnNothingIsRefused() {
        List<Runnable> wrong = new ArrayList<>();
        wrong.add(() ->
                new PowerPlan(List.of(HOUSE), List.of(), List.of(load("Kettle", 2200, "B2", PowerPlan.When.ALWAYS))));
        wrong.add(() -> new PowerPlan(List.of(), List.of(circuit("B1", 1, null, null)), List.of()));
        wrong.add(() -> circuit("B1", 4, null, null));
        wrong.add(() -> circuit("B1", 1, 20.0, null));
        wrong.add(() -> circuit("B1", 1, 20.0, 0.0));
        wrong.add(() -> new PowerPlan.PowerSource("Generator", PowerPlan.SourceKind.GENERATOR, 230, 1, 0.0));
        wrong.add(() -> load("Kettle", -5, "B2", PowerPlan.When.ALWAYS));
        wrong.add(() -> new PowerPlan(List.of(HOUSE, HOUSE), List.of(), List.of()));
        wrong.forEach(one -> assertThatThrownBy(one::run).isInstanceOf(Refusal.class));
    }

    /** Three heads on one phase go onto three; a fourth, on its own cord, stays. */
    @Test
    void lightsAreSpreadOverThePhasesWithThePlanUnchanged() {
        Stage shop = Stage.outdoors()
                .head("a", Role.KEY, 0, 3, 2)
                .head("b", Role.FILL, 1, 3, 2)
                .head("c", Role.EDGE, 2, 3, 2);
        for (String key : List.of("a", "b", "c")) {
            shop.tie(key, new Level(100)).tie(key, Feed.circuit("B1"));
        }
        PowerPlan plan = new PowerPlan(
                List.of(HOUSE),
                List.of(circuit("B1", 1, null, null), circuit("B2", 2, null, null), circuit("B3", 3, null, null)),
                List.of());
        PhaseSpread spread = PhaseSpread.of(plan, shop.recording().placements(), shop.state())
                .get(0);
        assertThat(spread.unbalanceBefore()).isCloseTo(2, within(1e-9));
        assertThat(spread.unbalanceAfter()).isLessThan(0.01);
        assertThat(spread.moves()).extracting(PhaseSpread.Rehung::to).containsExactlyInAnyOrder("B2", "B3");
        assertThat(spread.after().stream().mapToDouble(a -> a).sum())
                .isCloseTo(spread.before().stream().mapToDouble(a -> a).sum(), within(1e-9));
    }

    private static PowerPlan.PowerSource box(String name, String from, int phases, Integer phase, Double breakerAmps) {
        return new PowerPlan.PowerSource(
                name,
                PowerPlan.SourceKind.DISTRIBUTION,
                230,
                phases,
                null,
                new PowerPlan.Feeder(from, phase, breakerAmps, 20.0, 6.0));
    }

    private static PowerPlan.FedCircuit on(String source, String name, Integer phase) {
        return new PowerPlan.FedCircuit(name, source, 16, phase, "", null, null);
    }

    /**
     * 2300 W on L1 and 1150 W on L2 of a box on the board, and 460 W of a small box on L2 of that box: 10, 7 and 0 A. 20 m of 6 mm² at
     * 10 A lose 2 · 20 · 0.0175 / 6 · 10 = 1.17 V.
     */
    @Test
    void aDistributionCarriesWhatHangsOnItAndOnTheBoxesBelow() {
        PowerPlan plan = new PowerPlan(
                List.of(
                        HOUSE,
                        box("Floor box", "House board", 3, null, 12.0),
                        box("Cart box", "Floor box", 1, 2, 16.0)),
                List.of(on("Floor box", "D1", 1), on("Floor box", "D2", 2), on("Cart box", "C1", null)),
                List.of(
                        load("Heater", 2300, "D1", PowerPlan.When.ALWAYS),
                        load("Monitors", 1150, "D2", PowerPlan.When.ALWAYS),
                        load("Chargers", 460, "C1", PowerPlan.When.ALWAYS)));
        List<PowerLoad.SourceLoad> sources = nothingLit(plan).sources();
        for (PowerLoad.SourceLoad source : sources.subList(0, 2)) {
            assertThat(source.phaseAmps().get(0)).isCloseTo(10, within(1e-9));
            assertThat(source.phaseAmps().get(1)).isCloseTo(7, within(1e-9));
            assertThat(source.kva()).isCloseTo(3.91, within(1e-9));
        }
        PowerLoad.SourceLoad floor = sources.get(1);
        assertThat(floor.feederAmps()).isCloseTo(10, within(1e-9));
        assertThat(floor.feederLimitAmps()).isCloseTo(9.6, within(1e-9));
        assertThat(floor.feederIsOver()).isTrue();
        assertThat(floor.drop().volts()).isCloseTo(new Cable(20, 6).dropVolts(10), within(1e-9));
        assertThat(sources.get(2).feederAmps()).isCloseTo(2, within(1e-9));
        assertThat(PowerNotice.of(nothingLit(plan)))
                .anyMatch(n -> n.act() && n.text().startsWith("The breaker before Floor box carries 10.0 of 9.6 A"));
    }

    @Test
    void aDistributionHangsOnASourceAndNotOnItself() {
        List<List<PowerPlan.PowerSource>> wrong = List.of(
                List.of(HOUSE, box("Box", "Nowhere", 3, null, null)),
                List.of(HOUSE, box("Box", "House board", 1, null, null)),
                List.of(box("A", "B", 3, null, null), box("B", "A", 3, null, null)),
                List.of(box("A", "A", 3, null, null)));
        wrong.forEach(sources -> assertThatThrownBy(() -> new PowerPlan(sources, List.of(), List.of()))
                .isInstanceOf(Refusal.class));
        assertThatThrownBy(() -> new PowerPlan.PowerSource("Box", PowerPlan.SourceKind.DISTRIBUTION, 230, 3, null))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("say from which source it is fed");
    }
}
