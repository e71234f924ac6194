package org.oblume.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.core.network.Ranges;
import org.oblume.core.network.SacnPacket;
import org.oblume.core.network.UnitAnswer;
import org.oblume.core.plot.Menu;

class RigTest {

    private static final UUID US = UUID.fromString("0b1e55ed-0000-4000-8000-000000000001");
    private static final UUID THEM = UUID.fromString("0b1e55ed-0000-4000-8000-000000000002");
    private static final Ranges RANGES =
            new Ranges(new Ranges.Range(2700, 6500), new Ranges.Range(-0.02, 0.02), new Ranges.Range(15, 50));
    private static final String MODES = "8-bit white: level, cct, tint; 16-bit white: level 16, cct 16, tint 16";

    private long now;
    private int sequence;
    private final Rig rig = new Rig(() -> now);

    @BeforeEach
    void hang() {
        rig.patchFixtures(List.of(
                unit("Wren", 1, "hold", 1, 0), unit("Eel 1", 11, "black", 1, 0), unit("Gannet", 21, "hold", 50, 60)));
    }

    private static UnitSpec unit(String name, int address, String onLoss, double lowest, double warmUp) {
        return new UnitSpec(
                name, MODES, "8-bit white", 1, address, RANGES, lowest, warmUp, Menu.parse("curve linear, " + onLoss));
    }

    private void send(UUID source, int priority, int number, boolean terminated, int... slots) {
        byte[] levels = new byte[512];
        for (int i = 0; i < slots.length; i++) {
            levels[i] = (byte) slots[i];
        }
        byte[] out = new SacnPacket(
                        source,
                        source.equals(US) ? "Oblume" : "house desk",
                        priority,
                        number & 255,
                        false,
                        terminated,
                        1,
                        levels)
                .encode();
        rig.receive(out, out.length);
    }

    private void send(int... slots) {
        send(US, 100, sequence++, false, slots);
    }

    private void seconds(double on) {
        now += Math.round(on * 1e9);
    }

    private UnitAnswer answer(String unit) {
        return state(unit).answer();
    }

    private Rig.UnitState state(String unit) {
        return rig.state().units().stream()
                .filter(u -> u.answer().unit().equals(unit))
                .findFirst()
                .orElseThrow();
    }

    private double level(String unit) {
        return answer(unit).dialled().levelPercent();
    }

    @Test
    void aUnitStandsAtWhatItHearsInItsModeAtItsAddress() {
        send(128, 255, 128);
        assertThat(level("Wren")).isCloseTo(100 * 128 / 255.0, within(1e-9));
        assertThat(answer("Wren").dialled().kelvin()).isEqualTo(6500);
        assertThat(answer("Wren").hears()).isTrue();
        assertThat(level("Eel 1")).isZero();
    }

    @Test
    void onLossOneHoldsAndAnotherGoesBlack() {
        send(200, 0, 0, 0, 0, 0, 0, 0, 0, 0, 200);
        seconds(2.4);
        assertThat(level("Eel 1")).as("2.4 s of silence are not a loss").isPositive();
        seconds(0.2);
        assertThat(level("Wren")).isPositive();
        assertThat(answer("Wren").hears()).isFalse();
        assertThat(level("Eel 1")).isZero();
    }

    @Test
    void aTerminatedStreamIsLostAtOnce() {
        send(200, 0, 0, 0, 0, 0, 0, 0, 0, 0, 200);
        send(US, 100, sequence++, true);
        assertThat(level("Eel 1")).isZero();
        assertThat(level("Wren")).as("holds what it had").isCloseTo(78.4, within(0.1));
        assertThat(rig.state().sources()).isEmpty();
    }

    @Test
    void aLampHoldsItsLowestLevelAndWarmsUpAfterPowerComesBack() {
        int[] slots = new int[21];
        slots[20] = 60;
        send(slots);
        assertThat(level("Gannet")).as("a ballast that dims to 50 %").isEqualTo(50);
        rig.fail("Gannet", new Fault(Fault.Kind.NO_POWER, null, null, null, null));
        assertThat(answer("Gannet").powered()).isFalse();
        assertThat(state("Gannet").outputPercent()).isZero();
        rig.clearFaults("Gannet");
        seconds(30);
        send(slots);
        assertThat(answer("Gannet").warmingUp()).isTrue();
        assertThat(state("Gannet").outputPercent()).isCloseTo(25, within(0.1));
        seconds(31);
        send(slots);
        assertThat(answer("Gannet").warmingUp()).isFalse();
        assertThat(state("Gannet").outputPercent()).isCloseTo(50, within(0.1));
    }

    @Test
    void theHighestPriorityIsHeardAndOfEqualsTheFirst() {
        send(100);
        send(THEM, 90, 0, false, 10);
        assertThat(level("Wren")).isCloseTo(39.2, within(0.1));
        send(THEM, 120, 1, false, 10);
        assertThat(level("Wren")).isCloseTo(3.9, within(0.1));
        send(THEM, 100, 2, false, 10);
        assertThat(level("Wren")).as("ours was first").isCloseTo(39.2, within(0.1));
        assertThat(rig.state().sources())
                .extracting(s -> s.name() + " " + s.priority())
                .containsExactlyInAnyOrder("Oblume 100", "house desk 100");
        send(US, 100, sequence++, true);
        assertThat(level("Wren")).as("the other takes over").isCloseTo(3.9, within(0.1));
    }

    @Test
    void whatIsBehindIsDroppedAndASourceThatBeganAnewIsNot() {
        send(US, 100, 10, false, 100);
        send(US, 100, 9, false, 200);
        send(US, 100, 10, false, 200);
        assertThat(level("Wren")).isCloseTo(39.2, within(0.1));
        assertThat(rig.state().packets().outOfOrder()).isEqualTo(2);
        send(US, 100, 246, false, 150);
        assertThat(level("Wren")).as("more than 20 behind: it started anew").isCloseTo(58.8, within(0.1));
        send(US, 100, 0, false, 160);
        assertThat(level("Wren")).as("over the end of the numbers").isCloseTo(62.7, within(0.1));
    }

    @Test
    void malformedAndTruncatedPacketsAreCountedAndChangeNothing() {
        send(100);
        byte[] out = new SacnPacket(US, "x", 100, 5, false, false, 1, new byte[512]).encode();
        rig.receive(out, 300);
        out[20] = 9;
        rig.receive(out, out.length);
        rig.receive(new byte[0], 0);
        assertThat(rig.state().packets().malformed()).isEqualTo(3);
        assertThat(level("Wren")).isCloseTo(39.2, within(0.1));
    }

    @Test
    void aFloodIsDroppedBeyondWhatALineCarriesAndTheRestIsHeard() {
        for (int i = 0; i < 5000; i++) {
            send(i % 256);
        }
        assertThat(rig.state().packets().flooding()).isEqualTo(5000 - 88);
        seconds(1);
        send(100);
        assertThat(level("Wren")).isCloseTo(39.2, within(0.1));
        for (int i = 0; i < 100; i++) {
            send(new UUID(0, i), 100, 0, false, 1);
        }
        assertThat(rig.state().sources()).hasSize(16);
    }

    @Test
    void previewPacketsAreNotShown() {
        byte[] out = new SacnPacket(US, "x", 100, 0, true, false, 1, new byte[] {(byte) 255}).encode();
        rig.receive(out, out.length);
        assertThat(level("Wren")).isZero();
    }

    @Test
    void aNodeThatGoesDownTakesItsUniversesWithIt() {
        rig.connect(List.of(new Rig.VirtualNode("Cart", List.of(1), true)));
        send(200, 0, 0, 0, 0, 0, 0, 0, 0, 0, 200);
        assertThat(answer("Wren").hears()).isTrue();
        rig.nodeUp("Cart", false);
        send(10);
        assertThat(level("Wren")).as("holds").isCloseTo(78.4, within(0.1));
        assertThat(level("Eel 1")).as("black").isZero();
        rig.nodeUp("Cart", true);
        send(10);
        assertThat(level("Wren")).isCloseTo(3.9, within(0.1));
        assertThatThrownBy(() -> rig.nodeUp("Grid", true)).hasMessageContaining("no node called Grid");
    }

    @Test
    void everyFaultShowsAndIsPutRight() {
        send(128, 255, 128);
        rig.fail("Wren", new Fault(Fault.Kind.WRONG_MODE, null, null, null, null));
        send(128, 255, 128);
        assertThat(answer("Wren").mode()).isEqualTo("16-bit white");
        rig.set("Wren", new UnitSpec.Settings("8-bit white", null, null, null, null));
        assertThat(state("Wren").faults()).isEmpty();

        rig.fail("Wren", new Fault(Fault.Kind.WRONG_ADDRESS, null, 1, 11, null));
        assertThat(answer("Wren").address())
                .as("on the address of Eel 1")
                .isEqualTo(answer("Eel 1").address());
        rig.set("Wren", new UnitSpec.Settings(null, 1, 1, null, null));

        rig.fail("Wren", new Fault(Fault.Kind.KNOB, null, null, null, 62.0));
        send(128, 255, 128);
        assertThat(level("Wren")).isEqualTo(62);
        rig.set("Wren", new UnitSpec.Settings(null, null, null, null, false));
        send(128, 255, 128);
        assertThat(level("Wren")).isCloseTo(50.2, within(0.1));

        rig.fail("Wren", new Fault(Fault.Kind.CURVE_RESET, null, null, null, null));
        assertThat(state("Wren").outputPercent()).as("square of 50.2 %").isCloseTo(25.2, within(0.1));
        rig.set("Wren", new UnitSpec.Settings(null, null, null, Menu.parse("curve linear"), null));

        rig.fail("Wren", new Fault(Fault.Kind.LOST_LINK, null, null, null, null));
        assertThat(answer("Wren").linked()).isFalse();
        assertThatThrownBy(() -> rig.set("Wren", new UnitSpec.Settings("8-bit white", null, null, null, null)))
                .hasMessageContaining("its link is lost");
        rig.clearFaults("Wren");
        send(128, 255, 128);
        assertThat(answer("Wren").linked()).isTrue();
        assertThat(state("Wren").faults()).isEmpty();
    }

    @Test
    void disturbancesCanBePlayedAndEnd() {
        send(100);
        rig.disturb(new Disturbance(Disturbance.Kind.RIVAL, 1, 150));
        assertThat(level("Wren")).as("another source above ours").isCloseTo(50.2, within(0.1));
        rig.disturb(new Disturbance(Disturbance.Kind.FLOOD, null, null));
        rig.disturb(new Disturbance(Disturbance.Kind.MALFORMED, null, null));
        assertThat(rig.state().packets().malformed()).isPositive();
        assertThat(rig.state().packets().flooding()).isPositive();
        rig.disturb(new Disturbance(Disturbance.Kind.QUIET, null, null));
        assertThat(rig.state().sources()).hasSize(1);
        assertThat(level("Wren")).isCloseTo(39.2, within(0.1));
    }

    @Test
    void whatCannotBeHungIsRefusedAndWhatHangsStays() {
        assertThatThrownBy(
                        () -> rig.patchFixtures(List.of(unit("Wren", 1, "hold", 1, 0), unit("Wren", 5, "hold", 1, 0))))
                .hasMessageContaining("Two units are called Wren");
        assertThatThrownBy(() -> rig.patchFixtures(
                        List.of(new UnitSpec("Dab", MODES, "extended", 1, 1, RANGES, 1, 0, Menu.NOTHING))))
                .hasMessageContaining("has no mode “extended”");
        assertThat(rig.state().units()).hasSize(3);
    }
}
