package org.oblume.core.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.LookState;
import org.oblume.core.day.DayFrame;
import org.oblume.core.day.DayShot;
import org.oblume.core.day.Schedule;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.units.Refusal;

/** What circuits carry over an evening in the shop; figures by hand. */
class DayLoadTest {

    private static final TimeOfDay CALL = TimeOfDay.parse("call", "19:00");

    private static PowerPlan plan(PowerPlan.OtherLoad... others) {
        return new PowerPlan(
                List.of(new PowerPlan.PowerSource("Small generator", PowerPlan.SourceKind.GENERATOR, 230, 1, 4.0)),
                List.of(
                        new PowerPlan.FedCircuit("B2", "Small generator", 16, null, "cart", null, null),
                        new PowerPlan.FedCircuit("B3", "Small generator", 16, null, "bench", null, null)),
                List.of(others));
    }

    private static DayLoad evening(PowerPlan plan) {
        Schedule schedule = Schedule.of(
                new DayFrame(CALL, TimeOfDay.parse("wrap", "23:59"), 5, List.of(), null),
                List.of(DayShot.of("4C", 100, 47), DayShot.of("4D", 35, 42)));
        return DayLoad.of(
                plan,
                schedule.slots().stream()
                        .map(s -> new DayLoad.InTime(
                                s, PowerLoad.of(plan, List.of(), new LookState("nothing", List.of()), 0)))
                        .toList(),
                CALL);
    }

    private static final PowerPlan.OtherLoad CART =
            new PowerPlan.OtherLoad("Monitors", 897, 1, "B2", PowerPlan.When.ALWAYS);
    private static final PowerPlan.OtherLoad KETTLE =
            new PowerPlan.OtherLoad("Kettle", 2200, 1, "B2", PowerPlan.When.CHANGEOVERS);

    /** Set-up 19:00 to 20:40, takes to 21:27, set-up to 22:02, takes to 22:44; 13.465 A with the kettle, 3.9 without. */
    @Test
    void theKettleDrawsInTheChangeoversOnly() {
        DayLoad.CircuitDay cart = evening(plan(CART, KETTLE)).circuits().get(0);
        assertThat(cart.steps()).extracting(s -> s.from().print()).containsExactly("19:00", "20:40", "21:27", "22:02");
        assertThat(cart.steps().get(1).amps()).isCloseTo(3.9, within(1e-9));
        assertThat(cart.steps().get(2).amps()).isCloseTo(13.465, within(0.001));
        assertThat(cart.steps().get(2).shot()).isEqualTo("4D");
        assertThat(cart.steps().get(2).inTakes()).isFalse();
        assertThat(cart.over()).isTrue();
        assertThat(cart.peak().orElseThrow().from().print()).isEqualTo("19:00");
    }

    /** At 21:40 both: (897 + 2200 + 1500) W are 4.597 kVA, 115 % of 4 kVA. */
    @Test
    void aHeaterDrawsFromOneTimeToAnother() {
        PowerPlan.OtherLoad heater =
                new PowerPlan.OtherLoad("Fan heater", 1500, 1, "B3", PowerPlan.When.TIMES, "21:40", "00:10");
        DayLoad evening = evening(plan(CART, KETTLE, heater));
        DayLoad.CircuitDay bench = evening.circuits().get(1);
        assertThat(bench.steps())
                .filteredOn(s -> s.amps() > 0)
                .extracting(s -> s.from().print())
                .containsExactly("21:40", "22:02", "22:44");
        assertThat(bench.steps().get(bench.steps().size() - 1).to().print()).isEqualTo("00:10");
        DayLoad.SourceDay generator = evening.sources().get(0);
        assertThat(generator.peakKva()).isCloseTo(4.597, within(1e-9));
        assertThat(generator.at()).isEqualTo(TimeOfDay.parse("at", "21:40"));
        assertThat(generator.share()).isCloseTo(1.149, within(0.001));
    }

    @Test
    void aSetOnWhichNothingIsShotCarriesNothing() {
        DayLoad nothing = DayLoad.of(plan(CART), List.of(), CALL);
        assertThat(nothing.circuits().get(0).steps()).isEmpty();
        assertThat(nothing.circuits().get(0).over()).isFalse();
        assertThat(nothing.sources().get(0).at()).isNull();
    }

    @Test
    void whatDrawsAtTimesSaysBoth() {
        assertThatThrownBy(() -> new PowerPlan.OtherLoad("Heater", 1500, 1, "B3", PowerPlan.When.TIMES, "21:40", null))
                .isInstanceOf(Refusal.class)
                .hasMessage("Heater draws at times: say from when, and until when.");
        assertThatThrownBy(
                        () -> new PowerPlan.OtherLoad("Heater", 1500, 1, "B3", PowerPlan.When.TIMES, "25:00", "26:00"))
                .isInstanceOf(Refusal.class);
    }
}
