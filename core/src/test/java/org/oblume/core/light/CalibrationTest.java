package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.LightMix;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.Signals;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Daylight;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Site;
import org.oblume.core.plot.Surface;

/** What a meter said of a light alone, in every later prediction of it. */
class CalibrationTest {

    private static final Modifier GRID = new Modifier("Grid 40°", 0.7, 0, 0, false, null, null, null, 40.0, null);
    private static final Modifier SILK = new Modifier("Half silk", 1, 0, 0, true, 1.2, 0.8, null);

    static Stream<Arguments> kinds() {
        return Stream.of(
                Arguments.of("bare", Stage.outdoors().head("key", Role.KEY, -2, 2, 2)),
                Arguments.of("gridded", Stage.outdoors().head("key", Role.KEY, -2, 2, 2, GRID)),
                Arguments.of("through cloth", Stage.outdoors().head("key", Role.KEY, -2, 2, 2, SILK)),
                Arguments.of(
                        "off a board",
                        Stage.outdoors()
                                .head("key", Role.KEY, 0, 3, 2)
                                .tie("key", AimSetting.along(270, 0))
                                .grip("board", PlacementKind.BOUNCE, 1.2, 1.2, Surface.grey(0.85), -2, 3, 2, 135, 0)),
                Arguments.of(
                        "off the ceiling",
                        Stage.room(2.6, Surface.grey(0.7), Surface.grey(0.8))
                                .head("key", Role.KEY, -1, 1, 1.2)
                                .tie("key", AimSetting.along(0, 90))),
                Arguments.of(
                        "by a mirror",
                        Stage.outdoors()
                                .head("key", Role.KEY, 0, 3, 1.5)
                                .tie("key", AimSetting.along(270, 0))
                                .grip("mirror", PlacementKind.MIRROR, 1, 1, null, -2, 3, 1.5, 118, 0)),
                Arguments.of("the sun", sun()),
                Arguments.of(
                        "in a tinted room",
                        Stage.room(2.6, new Surface(0.7, 20, 0.01), Surface.grey(0.8))
                                .head("key", Role.KEY, -1, 1, 2)));
    }

    /** It stands 40° up in the south, behind a pane that looks north. */
    private static Stage sun() {
        Instant noon = Instant.parse("2026-03-20T12:07:00Z");
        return Stage.outdoors()
                .at(new Site(50, 0))
                .window("key", Role.KEY, 0, -3, 1.5 + 3 * Math.tan(Math.toRadians(40)), 0)
                .tie("mark", AimSetting.along(180, 0))
                .tie("key", new ColourTemperature(5600))
                .tie("key", new Daylight(0, 50_000, noon, null));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("kinds")
    void thePredictionAfterAReadingIsTheReading(String kind, Stage stage) {
        for (Turned turned : Turned.values()) {
            // the sun is behind a meter that looks north
            Stage metered = stage.camera(0.4, kind.equals("the sun") ? -3.5 : 3.5);
            LightMix before = metered.light().metered("key", "mark", turned).orElseThrow();
            ColourReading read = new ColourReading(
                    1e6 / (1e6 / before.reading().kelvin() + 12),
                    before.reading().duv() + 0.002);
            Calibration found = reading(turned, before.lux() * 1.3, read.kelvin(), read.duv())
                    .correcting(Calibration.NONE, before.lux(), before.reading());
            LightMix after =
                    calibrated(metered, found).metered("key", "mark", turned).orElseThrow();
            assertThat(after.lux()).isCloseTo(before.lux() * 1.3, within(before.lux() * 1e-6));
            assertThat(1e6 / after.reading().kelvin()).isCloseTo(1e6 / read.kelvin(), within(0.01));
            assertThat(after.reading().duv()).isCloseTo(read.duv(), within(1e-5));
            assertThat(calibrated(metered, found).marks().get(0).left().lux()
                            / metered.light().marks().get(0).left().lux())
                    .as("%s: the other places of its light follow", kind)
                    .isCloseTo(1.3, within(0.02));
        }
    }

    /** A whole stop less and 20 mired warmer as a filter at the head: what a reading of it says, all lights together say too. */
    @Test
    void aReadingOfAColourCorrectsTheSumsOfAllLights() {
        Stage stage = Stage.outdoors().head("key", Role.KEY, -2, 2, 2).head("fill", Role.FILL, 2, 2, 2);
        Modifier gel = new Modifier("Eighth", 1, 20, 0.001, false, null, null, null);
        Stage gelled = Stage.outdoors().head("key", Role.KEY, -2, 2, 2, gel).head("fill", Role.FILL, 2, 2, 2);
        LightMix predicted =
                stage.light().metered("key", "mark", Turned.TO_LIGHT).orElseThrow();
        LightMix real = gelled.light().metered("key", "mark", Turned.TO_LIGHT).orElseThrow();
        Calibration found = reading(
                        Turned.TO_LIGHT,
                        real.lux(),
                        real.reading().kelvin(),
                        real.reading().duv())
                .correcting(Calibration.NONE, predicted.lux(), predicted.reading());
        MarkLight told = calibrated(stage, found).marks().get(0);
        MarkLight there = gelled.light().marks().get(0);
        assertThat(told.left().lux())
                .isCloseTo(there.left().lux(), within(there.left().lux() * 1e-3));
        assertThat(1e6 / told.right().mix().reading().kelvin())
                .isCloseTo(1e6 / there.right().mix().reading().kelvin(), within(0.2));
        assertThat(told.right().mix().reading().duv())
                .isCloseTo(there.right().mix().reading().duv(), within(1e-4));
    }

    @Test
    void aReadingThatCannotBeSoCorrectsNothingUntilSomebodySaysThatItIs() {
        Reading far = reading(Turned.TO_LIGHT, 300, 4300, 0.0);
        Calibration before = new Calibration(1.2);
        ColourReading white = new ColourReading(5600, 0);
        assertThat(far.correcting(before, 100.0, white)).isEqualTo(before);
        assertThat(far.confirmed("Gaffer").correcting(before, 100.0, white).k()).isEqualTo(3.0, within(1e-12));
        assertThat(reading(Turned.TO_LIGHT, 280, 4300, 0.0)
                        .correcting(before, 100.0, white)
                        .k())
                .as("within a stop and a half it is used")
                .isEqualTo(2.8, within(1e-12));
    }

    @Test
    void lightAndColourAreEachOfTheNewestThatReadThem() {
        ColourReading white = new ColourReading(5600, 0);
        Calibration colour = new Reading("mark", "key", null, null, null, 5000.0, null, Signals.NONE)
                .correcting(new Calibration(0.8), null, white);
        assertThat(colour.k()).isEqualTo(0.8);
        assertThat(colour.colour().duv())
                .as("a colour without its tint says nothing of the tint")
                .isZero();
        assertThat(colour.colour().mired()).isCloseTo(1e6 / 5000 - 1e6 / 5600, within(1e-9));
        Calibration light = new Reading("mark", "key", 120.0, null, null, null, null, Signals.NONE)
                .correcting(colour, 100.0, white);
        assertThat(light.k()).isEqualTo(1.2, within(1e-12));
        assertThat(light.colour()).isEqualTo(colour.colour());
    }

    /** A filament that is dimmed is warmer: so the meter is told, before anybody reads it. */
    @Test
    void whatTheMeterIsToldIsTheDimmedFilament() {
        Stage lamp = Stage.outdoors()
                .head("key", Role.KEY, LevelCurve.TUNGSTEN, 0, 3, 1.5)
                .tie("key", new Level(50));
        double kelvin = lamp.light()
                .metered("key", "mark", Turned.TO_LIGHT)
                .orElseThrow()
                .reading()
                .kelvin();
        assertThat(kelvin).isCloseTo(5600 * Math.pow(0.5, 0.42), within(15.0));
        assertThat(SourceColour.leaving(lamp.placement("key"), lamp.state())
                        .orElseThrow()
                        .reading()
                        .kelvin())
                .isCloseTo(kelvin, within(1.0));
    }

    private static ShotLighting calibrated(Stage stage, Calibration found) {
        return ShotLighting.of(stage.set(), stage.placements(), stage.state(), Set.of(), Map.of("key", found));
    }

    private static Reading reading(Turned turned, double lux, double kelvin, double duv) {
        return new Reading("mark", "key", lux, null, null, kelvin, duv, Signals.NONE, turned, null, List.of());
    }
}
