package org.oblume.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedValuesTest {

    private static final double EXACT = 1e-12;

    static DoubleStream anyMetres() {
        return new Random(41).doubles(200, -40, 40);
    }

    static DoubleStream anyStops() {
        return new Random(42).doubles(200, -12, 12);
    }

    @Nested
    class Stop {

        @ParameterizedTest
        @CsvSource({
            "1 1/3, 1.3333333333333333",
            "-2/3, -0.6666666666666666",
            "−2⅓, -2.3333333333333335",
            "0.5, 0.5",
            "1 stop, 1",
            "2+1/3, 2.3333333333333335",
            "3-1/3, 2.6666666666666665",
            "1⅔ stops, 1.6666666666666667"
        })
        void isReadAsSpoken(String typed, double stops) {
            assertThat(Stops.parse(typed).value()).isCloseTo(stops, within(EXACT));
        }

        @ParameterizedTest
        @ValueSource(strings = {"", "a stop", "1/0", "1 +", "--1", "1 2 3"})
        void isRefusedWithWhatToType(String typed) {
            assertThatThrownBy(() -> Stops.parse(typed))
                    .isInstanceOf(Refusal.class)
                    .hasMessageContaining("type stops");
        }

        @ParameterizedTest
        @MethodSource("org.oblume.core.units.TypedValuesTest#anyStops")
        void printedInThirdsReadsBackToTheNearestThird(double stops) {
            assertThat(Stops.parse(Stops.of(stops).inThirds()).value())
                    .isCloseTo(Math.round(stops * 3) / 3.0, within(EXACT));
        }

        @ParameterizedTest
        @MethodSource("org.oblume.core.units.TypedValuesTest#anyStops")
        void ratioAndStopsAreInverse(double stops) {
            assertThat(Stops.fromRatio(Stops.of(stops).ratio()).value()).isCloseTo(stops, within(1e-9));
            assertThat(Stops.of(stops).ratio() * Stops.of(stops).transmission()).isCloseTo(1, within(1e-9));
        }

        @Test
        void densityOfPoint3CostsJustUnderOneStop() {
            assertThat(Stops.fromDensity(0.3).value()).isCloseTo(0.9966, within(5e-5));
            assertThat(Stops.fromDensity(0.9).value()).isCloseTo(2.990, within(5e-4));
        }
    }

    @Nested
    class TStopNames {

        @ParameterizedTest
        @CsvSource({
            "5.6, 5.656854249492381",
            "T5.6, 5.656854249492381",
            "2.8, 2.8284271247461903",
            "8, 8",
            "5.6 1/3, 6.3496042078727974",
            "8-1/3, 7.127189745122715",
            "11 minus, 10.07936839915898",
            "5.6+2/3, 7.127189745122715",
            "3, 3",
            "t4⅓, 4.489848193237491"
        })
        void standForTheExactStop(String typed, double number) {
            assertThat(TStop.parse(typed).number()).isCloseTo(number, within(1e-9));
        }

        @ParameterizedTest
        @CsvSource({"5.656854249492381, T5.6", "6.3496, T5.6 ⅓", "7.127, T5.6 ⅔", "2.8, T2.8", "0.5, T0.5", "128, T128"
        })
        void arePrintedToTheNearestThird(double number, String label) {
            assertThat(TStop.of(number).label()).isEqualTo(label);
        }

        @ParameterizedTest
        @ValueSource(strings = {"", "wide open", "0", "5.6 4/3", "-2"})
        void areRefusedWhenTheyAreNotOne(String typed) {
            assertThatThrownBy(() -> TStop.parse(typed)).isInstanceOf(Refusal.class);
        }
    }

    @Nested
    class LengthOfTape {

        @ParameterizedTest
        @CsvSource(
                delimiter = ';',
                value = {
                    "1.95; 1.95",
                    "1.95 m; 1.95",
                    "195cm; 1.95",
                    "950 mm; 0.95",
                    "1,5; 1.5",
                    "6'; 1.8288",
                    "7'10\"; 2.3876",
                    "6 ft 5 in; 1.9558",
                    "6'5 1/2\"; 1.9685",
                    "10\"; 0.254",
                    "-0.4; -0.4"
                })
        void isReadInMetresOrFeetAndInches(String typed, double metres) {
            assertThat(Length.parse(typed).metres()).isCloseTo(metres, within(1e-9));
        }

        @ParameterizedTest
        @ValueSource(strings = {"", "tall", "m", "6'5'", "1 2 m"})
        void isRefusedWithWhatToType(String typed) {
            assertThatThrownBy(() -> Length.parse(typed))
                    .isInstanceOf(Refusal.class)
                    .hasMessageContaining("type metres");
        }

        @ParameterizedTest
        @MethodSource("org.oblume.core.units.TypedValuesTest#anyMetres")
        void readsBackWhatItPrints(double metres) {
            Length length = Length.ofMetres(metres);
            assertThat(Length.parse(length.printMetric().replace('−', '-')).metres())
                    .isCloseTo(metres, within(0.00501));
            assertThat(Length.parse(length.printImperial().replace('−', '-')).metres())
                    .isCloseTo(metres, within(0.0032));
        }
    }

    @Nested
    class Colour {

        @ParameterizedTest
        @CsvSource({"5600, 5600", "4300 K, 4300", "5.6k, 5600", "3200k, 3200"})
        void isReadInKelvin(String typed, double kelvin) {
            assertThat(Kelvin.parse(typed).value()).isEqualTo(kelvin);
        }

        @Test
        void outsideTheRangeIsRefusedNamingIt() {
            assertThatThrownBy(() -> Kelvin.of(999)).hasMessageContaining("1000 to 25000 K");
            assertThatThrownBy(() -> Kelvin.of(Double.NaN)).isInstanceOf(Refusal.class);
            assertThat(Kelvin.of(25000 * (1 + 1e-10)).value()).isEqualTo(25000);
        }

        @Test
        void miredShiftsAddAndCancel() {
            Kelvin lamp = Kelvin.of(5600);
            Kelvin warm = lamp.shifted(MiredShift.of(64)).shifted(MiredShift.of(12));
            assertThat(warm.value()).isCloseTo(lamp.shifted(MiredShift.of(76)).value(), within(1e-9));
            assertThat(warm.shifted(MiredShift.between(warm, lamp)).value()).isCloseTo(5600, within(1e-9));
        }

        @Test
        void aFilterThatLeavesTheScaleIsRefused() {
            assertThatThrownBy(() -> Kelvin.of(1200).shifted(MiredShift.of(200)))
                    .hasMessageContaining("take out a filter");
        }

        @ParameterizedTest
        @CsvSource({
            "0.004, 0.004",
            "-0.01, -0.01",
            "0.01 magenta, -0.01",
            "+0.002 green, 0.002",
            "CC30, 0.02",
            "15 cc magenta, -0.01",
            "CC 3 green, 0.002"
        })
        void tintIsReadAsDuv(String typed, double duv) {
            assertThat(Duv.parse(typed).value()).isEqualTo(duv);
        }
    }

    @Nested
    class Direction {

        @ParameterizedTest
        @CsvSource({"220, 220", "220°, 220", "-10, 350", "720, 0", "360 deg, 0"})
        void isKeptBetween0And360(String typed, double degrees) {
            assertThat(Bearing.parse(typed).degrees()).isEqualTo(degrees);
        }

        @Test
        void isClockwiseFromUpThePlan() {
            assertThat(Bearing.fromOffset(0, 1).degrees()).isZero();
            assertThat(Bearing.fromOffset(1, 0).degrees()).isEqualTo(90);
            assertThat(Bearing.fromOffset(-1, 0).print()).isEqualTo("270°");
            assertThat(Bearing.ofDegrees(359.7).print()).isEqualTo("000°");
        }
    }

    @Nested
    class LevelOfALight {

        @ParameterizedTest
        @CsvSource({"45, 45", "45%, 45", "12.5 %, 12.5", "full, 100", "out, 0"})
        void isReadInPercent(String typed, double percent) {
            assertThat(Percent.parse(typed).value()).isEqualTo(percent);
        }

        @ParameterizedTest
        @ValueSource(strings = {"101", "-1", "bright"})
        void isRefusedOutsideItsRange(String typed) {
            assertThatThrownBy(() -> Percent.parse(typed)).isInstanceOf(Refusal.class);
        }
    }
}
