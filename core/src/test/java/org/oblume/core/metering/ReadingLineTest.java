package org.oblume.core.metering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.exposure.Exposure;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.TStop;

class ReadingLineTest {

    private static final Exposure CAMERA = new Exposure(800, 1.0 / 48, 0, Exposure.DEFAULT_CALIBRATION);
    private final Stage stage = Stage.outdoors()
            .head("key", Role.KEY, 0, 3, 1.5)
            .head("key-two", Role.FILL, 2, 2, 1.5)
            .camera(0, 5);

    @Test
    void oneLightAloneIsReadTowardsIt() {
        Reading reading = read("Key alone T4 1/3, 4300 K +0.002");
        assertThat(reading.alone()).isEqualTo("key");
        assertThat(reading.lux())
                .isCloseTo(CAMERA.required(TStop.parse("4 1/3")).lux(), within(1e-9));
        assertThat(reading.kelvin()).isEqualTo(4300);
        assertThat(reading.duv()).isEqualTo(0.002);
    }

    @Test
    void theLongerNameIsTheOneThatIsMeant() {
        assertThat(read("key-two 300 lux").alone()).isEqualTo("key-two");
    }

    @Test
    void allLightsAreReadByMeterAndMonitorInOneLine() {
        Reading reading = read("all T2.8, shadow T1.4, lit 54, shadow 12 %, bg 20, window 88, hottest 96");
        assertThat(reading.alone()).isNull();
        assertThat(reading.lux() / reading.shadowLux()).isCloseTo(4, within(1e-9));
        assertThat(reading.signals()).isEqualTo(new Signals(54.0, 12.0, 20.0, 88.0, 96.0));
    }

    @Test
    void aColourBelongsToThePlaceThatItIsReadAt() {
        Reading reading = read("T4, 4300 K, shadow T2 3600 K +0.003, back left 200 lux 5600 K, to the key T5.6");
        assertThat(reading.kelvin()).isEqualTo(4300);
        assertThat(reading.places())
                .extracting(PlaceReading::place, PlaceReading::lux, PlaceReading::kelvin, PlaceReading::duv)
                .containsExactlyInAnyOrder(
                        tuple(MeterPlace.BACK_LEFT, 200.0, 5600.0, null),
                        tuple(
                                MeterPlace.KEY,
                                CAMERA.required(TStop.parse("5.6")).lux(),
                                null,
                                null),
                        tuple(MeterPlace.SHADOW, null, 3600.0, 0.003));
        assertThat(reading.say(null).metric()).contains("back left 200 lux, 5600 K", "shadow cheek 3600 K 0.003");
    }

    @ParameterizedTest
    @ValueSource(strings = {"T4, shadow +0.003", "T4, shadow T2 +0.003", "back left 60 lux +0.003"})
    void aTintOfAPlaceIsNotDroppedButAskedItsWhite(String line) {
        assertThatThrownBy(() -> read(line)).isInstanceOf(Refusal.class).hasMessageContaining("add the kelvin");
    }

    @Test
    void aPlaceOfTheCrewsOwnKeepsItsName() {
        Reading reading = read("on the papers 54 %, on the back wall 12 lux, window 300 lux");
        assertThat(reading.places())
                .extracting(PlaceReading::label, PlaceReading::lux, PlaceReading::percent)
                .containsExactlyInAnyOrder(
                        tuple("on the papers", null, 54.0),
                        tuple("on the back wall", 12.0, null),
                        tuple("on the window", 300.0, null));
        assertThatThrownBy(() -> read("key alone T4, on the papers 54 %")).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> read("back left 40 %"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("monitor has no back left");
    }

    @Test
    void whatIsTappedIsReadLikeWhatIsTyped() {
        Reading reading = read("T4 1/3, shadow T2, 4300 K +0.000, lit 54 %, shadow 18 %, window 92 %");
        assertThat(reading.lux())
                .isCloseTo(CAMERA.required(TStop.parse("4 1/3")).lux(), within(1e-9));
        assertThat(reading.duv()).isZero();
        assertThat(reading.signals()).isEqualTo(new Signals(54.0, 18.0, null, 92.0, null));
    }

    @ParameterizedTest
    @CsvSource({"'450 lux',450", "'10 fc',107.6391", "'lit 450lx',450", "'1,5 lux',1.5"})
    void lightIsReadInEitherUnit(String line, double lux) {
        assertThat(read(line).lux()).isCloseTo(lux, within(1e-6));
    }

    @ParameterizedTest
    @CsvSource({
        "'4300 K −0.004',-0.004",
        "'4300 15 CC green',0.01",
        "'4300 K CC30 magenta',-0.02",
        "'4300 K duv 0.003',0.003",
        "'4300 K 0.005 magenta',-0.005"
    })
    void tintIsReadAsDuvOrCc(String line, double duv) {
        assertThat(read(line).duv()).isCloseTo(duv, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "key",
                "camera T4",
                "key and key-two T4",
                "T4, T5.6",
                "54",
                "lit",
                "key alone T4, shadow 12",
                "300000 lux",
                "+0.004",
                "bananas T4",
                "900000 K"
            })
    void whatCannotBeReadIsRefusedWithTheNextStep(String line) {
        assertThatThrownBy(() -> read(line)).isInstanceOf(Refusal.class).hasMessageMatching(".{20,}");
    }

    @Test
    void aBareFigureCouldBeThreeThingsAndIsAskedFor() {
        assertThatThrownBy(() -> read("54"))
                .hasMessageContaining("T54")
                .hasMessageContaining("54 lux")
                .hasMessageContaining("lit 54");
    }

    @Test
    void aStopNeedsACamera() {
        assertThatThrownBy(() -> ReadingLine.parse("T4", stage.placements(), stage.state(), "mark", null))
                .hasMessageContaining("ISO");
    }

    @Test
    void aReadingIsSaidAsItCanBeReadAgain() {
        Reading reading = read("T4 1/3, shadow T2, 4300 K +0.002, lit 54");
        Reading again = read(reading.say(CAMERA).metric().replaceAll(", \\d+(\\.\\d)? lux", ""));
        assertThat(again.kelvin()).isEqualTo(reading.kelvin());
        assertThat(again.signals()).isEqualTo(reading.signals());
        assertThat(again.lux()).isCloseTo(reading.lux(), within(1e-6));
        assertThat(again.shadowLux()).isCloseTo(reading.shadowLux(), within(1e-6));
    }

    private Reading read(String line) {
        return ReadingLine.parse(line, stage.placements(), stage.state(), "mark", CAMERA);
    }
}
