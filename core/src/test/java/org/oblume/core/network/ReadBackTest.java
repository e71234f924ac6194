package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetStatus;

class ReadBackTest {

    private final PatchedUnit edge = Truck.unit(
            "Edge",
            "Wren",
            Role.EDGE,
            new Patch(1, 111, 8, "16-bit white"),
            Truck.SPOT_MODES,
            Truck.at(55, 4300),
            Menu.parse("curve linear, hold"));
    private final UnitAnswer fine = Truck.asRecorded(edge);

    private List<ReadBack.Drift> drift(UnitAnswer answer) {
        return ReadBack.of(List.of(edge), List.of(answer), 1);
    }

    private UnitAnswer standing(double percent, double kelvin, double duv, Effect effect) {
        return with(
                "16-bit white",
                1,
                111,
                new FixtureValues(percent, kelvin, duv, Colour.WHITE, 40.0, effect),
                edge.menu(),
                null);
    }

    private UnitAnswer with(
            String mode, int universe, int address, FixtureValues dialled, Menu menu, @Nullable Boolean warming) {
        return new UnitAnswer(
                "Wren", true, true, true, mode, universe, address, dialled, menu, Boolean.TRUE.equals(warming));
    }

    @Test
    void aUnitThatIsAsRecordedIsNotMentioned() {
        assertThat(drift(fine)).isEmpty();
        assertThat(drift(standing(55 + 100.0 / 65535, 4300, 0, Effect.NONE)))
                .as("a step of the mode is what rounding may cost")
                .isEmpty();
    }

    @Test
    void twoStepsOfTheModeAreADifferenceAndAreSaidFinelyEnough() {
        assertThat(drift(standing(55 + 2.1 * 100 / 65535, 4300, 0, Effect.NONE)))
                .extracting(ReadBack.Drift::sentence)
                .containsExactly("Edge is at 55.003 %, record 55 %.");
        assertThat(drift(standing(55, 4300 + 2.1 * 3800 / 65535, 0, Effect.NONE)))
                .hasSize(1);
    }

    @Test
    void aKnobTurnedByHandIsToldInTheJobsWordsAndCanBeTaken() {
        ReadBack.Drift knob = drift(standing(62, 4300, 0, Effect.NONE)).get(0);
        assertThat(knob.sentence()).isEqualTo("Edge is at 62 %, record 55 %.");
        assertThat(knob.rigs()).isEqualTo(new Level(62));
        assertThat(knob.bySending()).isTrue();
        assertThat(drift(standing(55, 4400, 0.003, Effect.NONE)))
                .extracting(ReadBack.Drift::sentence)
                .containsExactly("Edge is dialled to 4400 K, record 4300 K.", "Edge has tint +0.003 green, record 0.");
    }

    @Test
    void aLightThatIsDarkIsOffRatherThanAtNought() {
        ReadBack.Drift off = drift(standing(0, 4300, 0, Effect.NONE)).get(0);
        assertThat(off.rigs()).isNull();
        assertThat(off.status()).isEqualTo(new SetStatus(SetStatus.State.OFF));
    }

    @Test
    void anotherModeIsToldAloneBecauseItsLevelsMeanNothingThen() {
        List<ReadBack.Drift> drift = drift(with("8-bit white", 1, 111, Truck.at(3, 6500), edge.menu(), null));
        assertThat(drift)
                .extracting(ReadBack.Drift::sentence)
                .containsExactly("Edge is in mode 8-bit white, record 16-bit white.");
        assertThat(drift.get(0).rigs()).isEqualTo(new Patch(1, 111, 3, "8-bit white"));
    }

    @Test
    void anotherAddressIsTold() {
        assertThat(drift(with("16-bit white", 1, 101, Truck.at(55, 4300), edge.menu(), null)))
                .extracting(ReadBack.Drift::sentence)
                .containsExactly("Edge listens at 1 / 101, record 1 / 111.");
    }

    @Test
    void aMenuThatWasResetIsToldAndWhatIsNotRecordedIsNot() {
        List<ReadBack.Drift> drift = drift(
                with("16-bit white", 1, 111, Truck.at(55, 4300), Menu.parse("curve square, hold, fan high"), null));
        assertThat(drift)
                .extracting(ReadBack.Drift::sentence)
                .containsExactly("Edge’s menu has curve square, record linear.");
        assertThat(drift.get(0).attribute()).isEqualTo(Attribute.MENU);
        assertThat(((Menu) drift.get(0).rigs()).curve()).isEqualTo(LevelCurve.SQUARE);
    }

    @Test
    void aUnitWithoutPowerOrLinkOrSignalSaysWhy() {
        assertThat(drift(new UnitAnswer(
                                "Wren",
                                false,
                                true,
                                false,
                                "16-bit white",
                                1,
                                111,
                                Truck.at(0, 4300),
                                edge.menu(),
                                false))
                        .get(0)
                        .sentence())
                .isEqualTo("Edge does not answer: it has no power.");
        assertThat(drift(new UnitAnswer(
                                "Wren",
                                true,
                                false,
                                false,
                                "16-bit white",
                                1,
                                111,
                                Truck.at(0, 4300),
                                edge.menu(),
                                false))
                        .get(0)
                        .sentence())
                .contains("has lost its link");
        assertThat(drift(new UnitAnswer(
                                "Wren",
                                true,
                                true,
                                false,
                                "16-bit white",
                                1,
                                111,
                                Truck.at(40, 4300),
                                edge.menu(),
                                false))
                        .get(0)
                        .sentence())
                .isEqualTo("Edge hears nothing in universe 1: it stands at 40 %.");
        assertThat(ReadBack.of(List.of(edge), List.of(), 1).get(0).sentence())
                .isEqualTo("Edge does not answer: it is not on the rig.");
    }

    @Test
    void aLampThatWarmsUpSaysSo() {
        assertThat(drift(with("16-bit white", 1, 111, Truck.at(20, 4300), edge.menu(), true))
                        .get(0)
                        .sentence())
                .isEqualTo("Edge is warming up: at 20 %, record 55 %.");
    }

    @Test
    void unitsOffTheNetworkAreLeftToThePersonAtTheHead() {
        assertThat(ReadBack.of(
                        List.of(Truck.unit("Lamp", Patch.BY_HAND, "dimmer: level", Truck.at(50, 2700))), List.of(), 1))
                .isEmpty();
    }

    @Test
    void anEffectThatStillRunsIsTold() {
        PatchedUnit tube = Truck.unit("Tube", new Patch(1, 1, 6, "8-bit white"), Truck.TUBE_MODES, Truck.at(50, 4300));
        UnitAnswer flashing = new UnitAnswer(
                "Tube 1",
                true,
                true,
                true,
                "8-bit white",
                1,
                1,
                new FixtureValues(50, 4300.0, 0, Colour.WHITE, null, new Effect(Effect.Kind.FLASH, 4)),
                Menu.NOTHING,
                false);
        assertThat(ReadBack.of(List.of(tube), List.of(flashing), 1))
                .extracting(ReadBack.Drift::sentence)
                .containsExactly("Tube runs flash, 4 a second, record no effect.");
    }
}
