package org.oblume.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class LightAndNumbersTest {

    @ParameterizedTest
    @CsvSource({
        "970, 970",
        "970 lux, 970",
        "970lx, 970",
        "90 fc, 968.7519",
        "90 foot-candles, 968.7519",
        "1/2 fc, 5.381955"
    })
    void lightIsTypedInLuxOrFootCandles(String typed, double lux) {
        assertThat(Illuminance.parse(typed).lux()).isCloseTo(lux, within(1e-9));
    }

    @Test
    void aCrewThatWorksInFootCandlesLeavesTheirNameOut() {
        assertThat(Illuminance.parseInFootcandles("90").footcandles()).isCloseTo(90, within(1e-12));
        assertThat(Illuminance.parseInFootcandles("970 lux").lux()).isEqualTo(970);
        assertThat(Length.parseInFeet("8")).isEqualTo(Length.ofFeet(8));
        assertThat(Length.parseInFeet("8").metres()).isCloseTo(2.4384, within(1e-12));
        assertThat(Length.parseInFeet("2 m").metres()).isEqualTo(2);
    }

    @Test
    void lightIsPrintedWithADecimalOnlyWhereItTells() {
        assertThat(Illuminance.ofLux(968.7).printMetric()).isEqualTo("969 lux");
        assertThat(Illuminance.ofLux(99.94).printMetric()).isEqualTo("99.9 lux");
        assertThat(Illuminance.ofLux(100).printMetric()).isEqualTo("100 lux");
        assertThat(Illuminance.ofFootcandles(7.5).printImperial()).isEqualTo("7.5 fc");
        assertThat(Illuminance.ofFootcandles(150).printImperial()).isEqualTo("150 fc");
    }

    static DoubleStream anyLux() {
        return new Random(8).doubles(100, 0, 100_000);
    }

    @ParameterizedTest
    @MethodSource("anyLux")
    void luxAndFootCandlesLeadToEachOther(double lux) {
        assertThat(Illuminance.ofFootcandles(Illuminance.ofLux(lux).footcandles())
                        .lux())
                .isCloseTo(lux, within(1e-9 * (1 + lux)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"bright", "", "5 candles", "fc"})
    void whatIsNoLightReadingIsRefusedWithWhatToType(String typed) {
        assertThatThrownBy(() -> Illuminance.parse(typed)).hasMessageContaining("90 fc");
        assertThatThrownBy(() -> Illuminance.ofLux(-1)).hasMessageContaining("0 or more");
    }

    @ParameterizedTest
    @CsvSource({
        "54, 54",
        "54 %, 54",
        "54 IRE, 54",
        "1/2, 0.5",
        "1.2 kW, 1200",
        "98 Wh, 98",
        "0.5kw, 500",
        "16 A, 16",
        "24 fps, 24",
        "-3, -3"
    })
    void aFigureIsReadWithOrWithoutItsUnit(String typed, double value) {
        assertThat(Numbers.parse(typed)).isCloseTo(value, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"many", "5 cats", "k", "", "1/0", "5 5 5"})
    void whatIsNoFigureIsRefusedWithWhatToType(String typed) {
        assertThatThrownBy(() -> Numbers.parse(typed))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("type one such as");
    }

    @Test
    void aLimitIsInsideWithASlackOfAPartInABillion() {
        assertThat(Checks.within("It", 25000 * (1 + 0.9e-9), 1000, 25000, "")).isEqualTo(25000);
        assertThat(Checks.within("It", 1000 * (1 - 0.9e-9), 1000, 25000, "")).isEqualTo(1000);
        assertThatThrownBy(() -> Checks.within("It", 25000 * (1 + 2e-9), 1000, 25000, ""))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Checks.within("It", 1000 * (1 - 2e-9), 1000, 25000, ""))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Checks.within("It", -1e-12, 0, 1, ""))
                .hasMessage("It −0.000000000001 is out of range: give 0 to 1.");
        assertThatThrownBy(() -> Checks.within("It", Double.NaN, 0, 1, "")).isInstanceOf(Refusal.class);
    }

    @Test
    void aCheckNamesTheFieldAtFault() {
        assertThat(Checks.above0("watts", "The power", 0.5, " W")).isEqualTo(0.5);
        assertThat(Checks.fraction("usable", "The usable part", 0.9)).isEqualTo(0.9);
        assertField("watts", () -> Checks.above0("watts", "The power", 0, " W"));
        assertField("stops", () -> Checks.notBelow0("stops", "The cost", -0.1, ""));
        assertField("usable", () -> Checks.fraction("usable", "The usable part", 1.01));
        assertField("usable", () -> Checks.fraction("usable", "The usable part", 0));
        assertField("x", () -> Checks.finite("x", "x", Double.POSITIVE_INFINITY));
        assertThat(new Refusal("a", "Because.").at("b").field()).isEqualTo("b");
        assertThat(Checks.text("The name", "x".repeat(60), 60)).hasSize(60);
        assertThatThrownBy(() -> Checks.text("The name", "x".repeat(61), 60)).hasMessageContaining("keep it to 60");
    }

    @Test
    void stopsAreSaidInThirdsOrInTenthsWithOneKindOfMinus() {
        assertThat(Stops.of(-0.6).inTenths()).isEqualTo("−0.6");
        assertThat(Stops.of(0.04).inTenths()).isEqualTo("0.0");
        assertThat(Stops.of(-0.1).inThirds()).isEqualTo("0");
        assertThat(Stops.of(-7.0 / 3).inThirds()).isEqualTo("−2 1/3");
        assertThat(Stops.of(1)).isGreaterThan(Stops.of(0.5));
        assertThat(Length.ofMetres(1)).isLessThan(Length.ofMetres(1.01));
        assertThat(Length.ofMetres(-0.3048).printImperial()).isEqualTo("−1′ 0″");
        assertThat(Length.ofMetres(-0.001).printImperial()).isEqualTo("0′ 0″");
        assertThat(MiredShift.of(0.4).print()).isEqualTo("0");
        assertThat(MiredShift.of(0.6).print()).isEqualTo("+1");
        assertThat(Duv.print(0.00204)).isEqualTo("0.002");
        assertThat(TStop.of(200).label()).isEqualTo("beyond T128");
        assertThat(TStop.of(0.3).label()).isEqualTo("wider than T0.5");
    }

    private static void assertField(String field, Runnable check) {
        assertThatThrownBy(check::run).isInstanceOfSatisfying(Refusal.class, r -> assertThat(r.field())
                .isEqualTo(field));
    }

    @ParameterizedTest
    @CsvSource({"2, 2", "-3, -3", "' 12 ', 12", "4/2, 2", "2.0, 2"})
    void aWholeNumberIsReadAsOne(String typed, int number) {
        assertThat(Numbers.parseWhole(typed)).isEqualTo(number);
    }

    @ParameterizedTest
    @ValueSource(strings = {"2.5", "two", "", "1 1/2"})
    void whatIsNotAWholeNumberSaysWhatToType(String typed) {
        assertThatThrownBy(() -> Numbers.parseWhole(typed))
                .hasMessage("“%s” is not a whole number: type one such as 2.".formatted(typed));
    }
}
