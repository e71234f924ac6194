package org.oblume.core.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.LightColour;
import org.oblume.core.continuity.Tolerances;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.plot.White;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/** The white of a grey patch in a still. */
class PatchWhiteTest {

    private static final White TUNGSTEN = new White(3200, 0);

    /** A patch in the middle of black. */
    private static Signal patch(int wide, double... percents) {
        int high = wide * 9 / 16;
        return new Signal(wide, high, false, (row, components) -> {
            for (int x = 0; x < wide; x++) {
                boolean on = Math.abs(x - wide / 2) < wide / 16 && Math.abs(row - high / 2) < wide / 16;
                for (int c = 0; c < 3; c++) {
                    components[3 * x + c] = on ? percents[c] / 100 : 0;
                }
            }
        });
    }

    private static PatchWhite read(White camera, SignalCurve curve, double... percents) {
        return PatchWhite.of(patch(2000, percents), 0.5, 0.5, curve, camera).orElseThrow();
    }

    /** A grey card in a light, as a camera codes it. */
    private static double[] card(White camera, SignalCurve curve, double kelvin, double duv) {
        LightColour light = LightColour.of(new Kelvin(kelvin), new Duv(duv));
        double[] linear = camera.camera().linear(ConeLight.of(light));
        double[] coded = new double[3];
        for (int c = 0; c < 3; c++) {
            coded[c] = curve.percent(0.18 * linear[c]);
        }
        return coded;
    }

    @ParameterizedTest
    @CsvSource({"3200, 0", "5600, 0.004", "4300, -0.006"})
    void whatIsCodedAsGreyIsInTheCamerasWhite(double kelvin, double duv) {
        PatchWhite read = read(new White(kelvin, duv), ShippedCurve.BT709, 41, 41, 41);
        assertThat(read.mired()).isCloseTo(0, within(0.3));
        assertThat(read.duv()).isCloseTo(0, within(0.0003));
    }

    @ParameterizedTest
    @CsvSource({"3000, 0", "3200, 0.006", "3600, -0.004", "2800, 0.01"})
    void theLightOnTheCardIsReadBackFromWhatTheCameraCodesOfIt(double kelvin, double duv) {
        for (SignalCurve curve : new SignalCurve[] {ShippedCurve.BT709, ShippedCurve.BT1886, ShippedCurve.ACESCCT}) {
            PatchWhite read = read(TUNGSTEN, curve, card(TUNGSTEN, curve, kelvin, duv));
            assertThat(read.mired()).as(curve.label()).isCloseTo(1e6 / kelvin - 1e6 / 3200, within(0.01));
            assertThat(read.duv()).as(curve.label()).isCloseTo(duv, within(1e-5));
        }
    }

    @Test
    void aWarmerLightIsSaidToBeWarmerAndIsOutBeyondTwelveMired() {
        PatchWhite wide = read(TUNGSTEN, ShippedCurve.BT709, card(TUNGSTEN, ShippedCurve.BT709, 3200, 0));
        PatchWhite close = read(TUNGSTEN, ShippedCurve.BT709, card(TUNGSTEN, ShippedCurve.BT709, 3000, 0.005));
        PatchWhite apart = close.from(wide);
        assertThat(apart.say()).isEqualTo("Grey is 21 mired warmer, 0.005 Duv more green.");
        assertThat(apart.holds(Tolerances.HOLD)).isFalse();
        assertThat(wide.from(close).say()).startsWith("Grey is 21 mired cooler").contains("magenta");
        assertThat(wide.from(wide).holds(Tolerances.HOLD)).isTrue();
        assertThat(wide.from(wide).say()).isEqualTo("Grey is as white.");
    }

    @Test
    void aBlackAClippedAndAColouredPatchTellNoWhite() {
        assertThat(PatchWhite.of(patch(640, 0, 0, 0), 0.5, 0.5, ShippedCurve.BT709, TUNGSTEN))
                .isEmpty();
        assertThat(PatchWhite.of(patch(640, 100, 90, 80), 0.5, 0.5, ShippedCurve.BT709, TUNGSTEN))
                .isEmpty();
        assertThat(PatchWhite.of(patch(640, 80, 5, 5), 0.5, 0.5, ShippedCurve.BT709, TUNGSTEN))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"320", "500", "6000"})
    void aPointsColourIsThatOfItsSquare(int wide) {
        assertThat(patch(wide, 50, 40, 30).colour(0.5, 0.5)).containsExactly(new double[] {50, 40, 30}, within(0.01));
    }
}
