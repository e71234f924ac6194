package org.oblume.core.plot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.network.Mode;
import org.oblume.core.units.Refusal;

/** What the control side of a light is recorded with. */
class ControlValuesTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "flicker 3 | flicker, 3 a second",
                "flash, 4 Hz | flash, 4 a second",
                "pulse | pulse, 1 a second",
                "none | none",
                "off | none",
                "screen 0.5 | screen, 0.5 a second"
            })
    void anEffectIsReadAsItIsCalledOut(String typed, String said) {
        assertThat(Effect.parse(typed).say()).isEqualTo(said);
        assertThat(Effect.parse(Effect.parse(typed).say())).isEqualTo(Effect.parse(typed));
    }

    @Test
    void threeToThirtyFlashesASecondAreWarnedOf() {
        assertThat(new Effect(Effect.Kind.FLASH, 2.9).canTriggerSeizures()).isFalse();
        assertThat(new Effect(Effect.Kind.FLASH, 3).canTriggerSeizures()).isTrue();
        assertThat(new Effect(Effect.Kind.FLASH, 30).canTriggerSeizures()).isTrue();
        assertThat(new Effect(Effect.Kind.PULSE, 5).canTriggerSeizures())
                .as("a pulse swells, it does not flash")
                .isFalse();
        assertThatThrownBy(() -> new Effect(Effect.Kind.FLASH, 31)).isInstanceOf(Refusal.class);
    }

    @Test
    void aMenuIsReadInAnyOrderAndSaidInOne() {
        Menu menu = Menu.parse(
                "hold, fan low, curve s-curve, 1.2 kHz, display off, smoothing on, channel 5, output constant");
        assertThat(menu.say())
                .isEqualTo(
                        "curve s-curve, smoothing on, fan low, output constant, 1200 Hz, hold, display off, channel 5");
        assertThat(Menu.parse(menu.say())).isEqualTo(menu);
        assertThat(Menu.parse("none")).isEqualTo(Menu.NOTHING);
    }

    @ParameterizedTest
    @ValueSource(strings = {"curve bent", "smoothing perhaps", "channel x", "warp 9", "channel 0"})
    void aMenuSettingThatIsNotOneIsRefused(String typed) {
        assertThatThrownBy(() -> Menu.parse(typed)).isInstanceOf(Refusal.class);
    }

    @Test
    void aColourLeavesItsShareOfRedGreenAndBlue() {
        Colour blue = Colour.parse("hue 240, saturation 100");
        assertThat(blue.leaves().blue()).isEqualTo(1);
        assertThat(blue.leaves().red()).isZero();
        assertThat(blue.transmission()).isCloseTo(0.0722, within(1e-9));
        assertThat(Colour.parse("60 50").leaves().green()).isEqualTo(1);
        assertThat(Colour.parse("60 50").leaves().blue()).isEqualTo(0.5);
        assertThat(Colour.WHITE.transmission()).isCloseTo(1, within(1e-12));
        assertThat(Colour.parse("white")).isEqualTo(Colour.WHITE);
        assertThat(Colour.parse(blue.say())).isEqualTo(blue);
        assertThatThrownBy(() -> Colour.parse("teal")).hasMessageContaining("hue 210");
    }

    @Test
    void aPatchSaysItsWay() {
        assertThat(new Patch(1, 101, 8, "16-bit white").say()).isEqualTo("1 / 101, 16-bit white");
        assertThat(new Patch(1, 101, 8, null, ControlPath.WIRELESS, null).say()).isEqualTo("1 / 101, wireless");
        assertThat(new Patch(null, null, null, null, ControlPath.APP, "Practicals").say())
                .isEqualTo("app group Practicals");
        assertThat(Patch.BY_HAND.say()).isEqualTo("by hand");
        assertThat(new Patch(1, 1, null, null, ControlPath.WIRED, null))
                .as("the usual way goes without saying")
                .isEqualTo(new Patch(1, 1, null, null));
    }

    @Test
    void aPatchThatContradictsItselfIsRefused() {
        assertThatThrownBy(() -> new Patch(1, 1, null, null, ControlPath.APP, null))
                .hasMessageContaining("not heard by the app");
        assertThatThrownBy(() -> new Patch(1, 1, null, null, null, "Practicals"))
                .hasMessageContaining("group of the app");
    }

    @Test
    void modesAreReadWithTheirSlots() {
        assertThat(Mode.parse("8-bit: level, cct; bank: level, level; old: 12"))
                .extracting(Mode::slots)
                .containsExactly(2, 2, 12);
        assertThat(Mode.parse("16-bit: level 16, cct 16, effect").get(0).say()).isEqualTo("level 16, cct 16, effect");
        assertThatThrownBy(() -> Mode.parse("8-bit: level, warmth")).hasMessageContaining("“warmth” in mode 8-bit");
        assertThatThrownBy(() -> Mode.parse("level, cct")).hasMessageContaining("is not a mode");
    }
}
