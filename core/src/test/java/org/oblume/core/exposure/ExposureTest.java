package org.oblume.core.exposure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.oblume.core.Cases;
import org.oblume.core.exposure.SignalTable.Point;
import org.oblume.core.units.Illuminance;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.TStop;

class ExposureTest {

    @TestFactory
    Stream<DynamicTest> theStopThatALightAsksFor() {
        return Cases.answered("exposure", c -> {
            double seconds = c.request().has("fps")
                    ? Exposure.seconds(c.number("fps"), c.number("shutterAngleDeg"))
                    : c.number("shutterSeconds");
            Exposure camera = new Exposure(
                    c.number("iso"),
                    seconds,
                    c.number("lensNdStops", 0),
                    c.number("calibrationConstant", Exposure.DEFAULT_CALIBRATION));
            Illuminance light = c.request().has("lux")
                    ? Illuminance.ofLux(c.number("lux"))
                    : Illuminance.ofFootcandles(c.number("footcandles"));
            c.assertAnswer("tStop", camera.stop(light).number());
            assertThat(camera.stop(light).label())
                    .isEqualTo(c.answer().get("label").asText());
            if (c.request().has("tStop")) {
                TStop set = TStop.of(c.number("tStop"));
                c.assertAnswer("requiredLux", camera.required(set).lux());
                c.assertAnswer("stopsOver", camera.over(light, set).value());
            }
        });
    }

    @TestFactory
    Stream<DynamicTest> litToShadowFromAnyMeter() {
        return Cases.answered("ratio", c -> {
            double lit = c.number("lit");
            double shadow = c.number("shadow");
            ContrastRatio ratio =
                    switch (c.text("mode")) {
                        case "SIGNAL" -> ContrastRatio.fromSignal(lit, shadow, ShippedCurve.valueOf(c.text("curve")));
                        case "T_STOP" -> ContrastRatio.fromTStops(TStop.of(lit), TStop.of(shadow));
                        default -> ContrastRatio.fromLux(lit, shadow);
                    };
            c.assertAnswer("ratio", ratio.ratio());
            c.assertAnswer("stops", ratio.stops().value());
        });
    }

    @TestFactory
    Stream<DynamicTest> bothSchoolsOfRatio() {
        return Cases.answered("lights-ratio", c -> {
            ContrastRatio alone = ContrastRatio.keyToFill(c.number("keyLux"), c.number("fillLux"));
            ContrastRatio sides = ContrastRatio.litToShadow(c.number("keyLux"), c.number("fillLux"));
            c.assertAnswer("keyToFill", alone.ratio());
            c.assertAnswer("litToShadow", sides.ratio());
            c.assertAnswer("keyToFillStops", alone.stops().value());
            c.assertAnswer("litToShadowStops", sides.stops().value());
        });
    }

    @Test
    void theMonitorSays54And12() {
        assertThat(ContrastRatio.fromSignal(54, 12, ShippedCurve.NONE).ratio()).isCloseTo(4.5, within(0.01));
        assertThat(ContrastRatio.fromSignal(54, 12, ShippedCurve.NONE).stops().value())
                .isCloseTo(2.2, within(0.05));
        assertThat(ContrastRatio.fromSignal(54, 12, ShippedCurve.BT709).ratio()).isCloseTo(10.8, within(0.05));
        assertThat(ContrastRatio.fromSignal(54, 12, ShippedCurve.BT709).stops().value())
                .isCloseTo(3.4, within(0.05));
    }

    @ParameterizedTest
    @EnumSource(ShippedCurve.class)
    void moreSignalIsMoreLight(ShippedCurve curve) {
        for (double percent = 9; percent < 109; percent += 0.5) {
            assertThat(curve.light(percent + 0.5)).as("at %s %%", percent).isGreaterThan(curve.light(percent));
        }
    }

    @ParameterizedTest
    @EnumSource(ShippedCurve.class)
    void aSignalBelowBlackTellsNoLight(ShippedCurve curve) {
        assertThatThrownBy(() -> ContrastRatio.fromSignal(50, -20, curve))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("shadow"));
    }

    @ParameterizedTest
    @CsvSource({"0.3, 1, 800", "2, 0, 100", "5.6, 3, 3200", "22, 0.5, 6400"})
    void theLightThatAStopNeedsAsksForThatStop(double stop, double nd, double iso) {
        Exposure camera = new Exposure(iso, Exposure.seconds(24, 172.8), nd, 330);
        assertThat(camera.stop(camera.required(TStop.of(stop))).number()).isCloseTo(stop, within(1e-9));
        assertThat(camera.over(
                                Illuminance.ofLux(
                                        2 * camera.required(TStop.of(stop)).lux()),
                                TStop.of(stop))
                        .value())
                .isCloseTo(1, within(1e-12));
    }

    @Test
    void aCrewsOwnCurveIsReadBetweenItsPoints() {
        SignalTable table =
                new SignalTable("day log", List.of(new Point(0, 0), new Point(40, 0.18), new Point(100, 2)));
        assertThat(table.light(20)).isCloseTo(0.09, within(1e-12));
        assertThat(table.light(70)).isCloseTo(1.09, within(1e-12));
        assertThat(table.percent(0.09)).isCloseTo(20, within(1e-12));
        assertThat(table.percent(1.09)).isCloseTo(70, within(1e-12));
        assertThat(table.say())
                .isEqualTo(
                        "A grey card at the camera's stop reads 40 %, a stop under it 20 %; it clips 3.5 stops over it.");
        assertThat(table.clips(2)).isFalse();
        assertThat(table.clips(2.01)).isTrue();
    }

    @Test
    void aCrewsOwnCurveTellsNoLightOutsideItsPoints() {
        SignalTable table = new SignalTable("short", List.of(new Point(10, 0.02), new Point(90, 1)));
        assertThat(table.light(91)).isNaN();
        assertThat(table.light(9)).isNaN();
        assertThatThrownBy(() -> ContrastRatio.fromSignal(91, 40, table))
                .hasMessageContaining("no light of that signal");
    }

    @Test
    void aCurveThatDoesNotRiseIsNoCurve() {
        assertThatThrownBy(() -> new SignalTable("a", List.of(new Point(4, 0), new Point(4, 1))))
                .hasMessageContaining("point 2");
        assertThatThrownBy(() -> new SignalTable("a", List.of(new Point(4, 0), new Point(5, 1), new Point(6, 1))))
                .hasMessageContaining("point 3");
        assertThatThrownBy(() -> new SignalTable("a", List.of(new Point(4, 0)))).hasMessageContaining("2 to 256");
        assertThatThrownBy(() -> new Point(Double.NaN, 0)).isInstanceOf(Refusal.class);
    }

    @ParameterizedTest
    @EnumSource(ShippedCurve.class)
    void whatALightMakesOnAMonitorIsReadBackAsThatLight(ShippedCurve curve) {
        for (double light = 0.002; light < 1.5; light *= 1.7) {
            assertThat(curve.light(curve.percent(light))).isCloseTo(light, within(0.003 * light + 2e-4));
        }
        assertThat(curve.percent(0.5)).isGreaterThan(curve.percent(0.25));
    }
}
