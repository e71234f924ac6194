package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.colour.LightColour;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.photometry.BeamShape;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Surface;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/** The light on a face, worked out by hand where the stage is simple. */
class ShotLightingTest {

    private static final double R = 0.15;

    @Test
    void aKeyGivesAMeterThatIsTurnedToItItsPeakOverTheSquares() {
        MarkLight mark = Stage.outdoors().head("key", Role.KEY, 2, 2, 1.5).mark();
        double wanted = Stage.PEAK / (8 + R * R);
        assertThat(mark.sources().get(0).facingLux()).isCloseTo(wanted, within(wanted * 0.01));
        assertThat(mark.leftIsLit()).isFalse();
        assertThat(mark.right().lux()).isCloseTo(wanted, within(wanted * 0.01));
        assertThat(mark.sources().get(0).from().degrees()).isCloseTo(45, within(1e-9));
        assertThat(mark.sources().get(0).angularSizeDeg())
                .isCloseTo(2 * Math.toDegrees(Math.atan(R / Math.sqrt(8))), within(1e-9));
        assertThat(mark.lit().mix().reading().kelvin()).isCloseTo(5600, within(1.0));
    }

    @Test
    void aHueTakesAwayFromAFullColourHeadsWhiteAndShowsOnTheMark() {
        double white = Stage.outdoors()
                .head("tube", Role.BACKGROUND, 2, 2, 1.5)
                .mark()
                .lit()
                .lux();
        MarkLight green = Stage.outdoors()
                .head("tube", Role.BACKGROUND, 2, 2, 1.5)
                .tie("tube", new Colour(120, 100))
                .mark();
        LightColour behind =
                new LightColour(WhitePoint.of(Kelvin.of(5600), Duv.of(0)), List.of(new Colour(120, 100).leaves()));
        assertThat(green.lit().lux() / white)
                .as("its loss of Y on this very white")
                .isCloseTo(behind.gelLoss().transmission(), within(1e-9));
        assertThat(Stage.outdoors()
                        .head("tube", Role.BACKGROUND, 2, 2, 1.5)
                        .tie("tube", Colour.WHITE)
                        .mark()
                        .lit()
                        .lux())
                .isEqualTo(white);
        assertThat(green.lit().mix().reading().duv()).as("far to green").isGreaterThan(0.03);
    }

    @Test
    void inTheDarkThereIsNoColourAndStillTwoCheeks() {
        MarkLight dark = Stage.outdoors().mark();
        assertThat(dark.lit().lux()).isZero();
        assertThat(dark.lit().mix()).isNull();
        assertThat(dark.lit()).isNotSameAs(dark.shadow());
    }

    @Test
    void aLargerSourceReachesFartherRoundTheFace() {
        MarkLight hard = Stage.outdoors().head("key", Role.KEY, 2, 2, 1.5).mark();
        MarkLight soft = Stage.outdoors()
                .head("key", Role.KEY, 2, 2, 1.5, cloth(2.4, 0.6))
                .mark();
        assertThat(soft.shadow().lux() / soft.lit().lux())
                .isGreaterThan(hard.shadow().lux() / hard.lit().lux());
    }

    @Test
    void wallsStopLightAndWindowsLetItThrough() {
        SetPlan.Opening window = new SetPlan.Opening(
                "window", SetPlan.OpeningKind.WINDOW, PlanPoint.of(-1, 5), PlanPoint.of(1, 5), 0.8, 2.4);
        assertThat(Stage.blackRoom()
                        .head("sign", Role.BACKGROUND, 0, 8, 2)
                        .mark()
                        .lit()
                        .lux())
                .isZero();
        assertThat(Stage.blackRoom(window)
                        .head("sign", Role.BACKGROUND, 0, 8, 2)
                        .mark()
                        .lit()
                        .lux())
                .isPositive();
        assertThat(Stage.blackRoom(window)
                        .head("sign", Role.BACKGROUND, 0, 5.2, 6)
                        .mark()
                        .lit()
                        .lux())
                .as("above its head")
                .isZero();
        assertThat(Stage.blackRoom(window)
                        .head("sign", Role.BACKGROUND, 6, 8, 1.5)
                        .mark()
                        .lit()
                        .lux())
                .as("beside it")
                .isZero();
    }

    @Test
    void aLowWallLetsWhatIsHigherPass() {
        SetPlan low = new SetPlan(
                null,
                0,
                List.of(new org.oblume.core.plot.Wall(List.of(PlanPoint.of(-5, 2), PlanPoint.of(5, 2)), 1.2, null)),
                List.of(),
                List.of(),
                List.of(),
                null,
                Surface.grey(0),
                null,
                null,
                null);
        Stage over = Stage.outdoors().with(low).head("key", Role.KEY, 0, 4, 3);
        assertThat(over.mark().lit().lux()).isPositive();
        assertThat(over.tie("key", new Height(0.4)).mark().lit().lux()).isZero();
    }

    @Test
    void aHalfScrimTakesFromItsHalfOfTheFrontWhereverTheBeamGoes() {
        Modifier lower = new Modifier("Double scrim", 1, 0, 0, false, null, null, null, null, Modifier.Cover.LOWER);
        Stage plain = Stage.outdoors().head("key", Role.KEY, 0, 4, 3).tie("key", AimSetting.along(180, -10));
        Stage scrimmed = Stage.outdoors().head("key", Role.KEY, 0, 4, 3, lower).tie("key", AimSetting.along(180, -10));
        assertThat(scrimmed.mark().lit().lux() / plain.mark().lit().lux()).isCloseTo(0.75, within(0.02));
        scrimmed.tie("key", AimSetting.along(180, -35));
        plain.tie("key", AimSetting.along(180, -35));
        assertThat(scrimmed.mark().lit().lux() / plain.mark().lit().lux()).isCloseTo(0.75, within(0.02));
    }

    @Test
    void aGridKeepsTheAxisAndTakesTheSpill() {
        Modifier grid = new Modifier("Grid 20°", 0, 0, 0, false, null, null, null, 20.0, null);
        Stage gridded = Stage.outdoors().head("edge", Role.EDGE, 0, 4, 1.5, grid);
        Stage bare = Stage.outdoors().head("edge", Role.EDGE, 0, 4, 1.5);
        assertThat(gridded.mark().lit().lux())
                .isCloseTo(bare.mark().lit().lux(), within(bare.mark().lit().lux() * 0.02));
        assertThat(gridded.tie("edge", AimSetting.along(195, 0)).mark().lit().lux())
                .isLessThan(
                        bare.tie("edge", AimSetting.along(195, 0)).mark().lit().lux() / 2);
    }

    @Test
    void aDimmedFilamentReddensAndADimmedDiodeDoesNot() {
        Stage warm = Stage.outdoors()
                .head("lamp", Role.PRACTICAL, LevelCurve.TUNGSTEN, 0, 3, 1.5)
                .tie("lamp", new ColourTemperature(3200))
                .tie("lamp", new Level(50));
        assertThat(warm.mark().lit().mix().reading().kelvin()).isCloseTo(3200 * Math.pow(0.5, 0.42), within(1.0));
        assertThat(warm.mark().sources().get(0).facingLux())
                .isCloseTo(Stage.PEAK * Math.pow(0.5, 3.4) / (9 + R * R), within(1.0));
    }

    /** In an integrating sphere every place gets Φρ/(A(1−ρ)) off the walls; a room of even paint is near to one. */
    @ParameterizedTest
    @CsvSource({"0.6", "0.8"})
    void aClosedRoomSendsOnWhatItGetsAgainAndAgain(double paint) {
        Stage stage = Stage.room(5.0, Surface.grey(paint), Surface.grey(paint))
                .withFloor(Surface.grey(paint))
                .head("up", Role.AMBIENCE, 3, -2, 1)
                .tie("up", AimSetting.along(0, 89));
        double flux = new BeamShape(Stage.PEAK, 40).lumenWithin(Math.PI / 2);
        double area = 2 * 100 + 4 * 50;
        MarkLight mark = stage.light().marks().get(0);
        assertThat(mark.sources().get(0).allAround()).isTrue();
        double sphere = flux * paint / (area * (1 - paint));
        assertThat((mark.left().lux() + mark.right().lux()) / 2).isCloseTo(sphere, within(sphere * 0.4));
    }

    @Test
    void aGreenWallMakesTheRoomGreen() {
        Stage white = Stage.room(3.0, Surface.grey(0.5), Surface.grey(0.7))
                .head("wash", Role.AMBIENCE, 0, 2, 1.5)
                .tie("wash", AimSetting.along(90, 0));
        Stage green = Stage.room(3.0, new Surface(0.5, 0, 0.02), Surface.grey(0.7))
                .head("wash", Role.AMBIENCE, 0, 2, 1.5)
                .tie("wash", AimSetting.along(90, 0));
        assertThat(green.mark().lit().mix().reading().duv())
                .isGreaterThan(white.mark().lit().mix().reading().duv() + 0.01);
    }

    @Test
    void theBackgroundIsTheWallThatTheCameraSeesBehindTheFace() {
        Stage stage = Stage.room(null, Surface.grey(0), Surface.grey(0))
                .camera(0, 4)
                .head("wash", Role.BACKGROUND, 0, -2, 1.5)
                .tie("wash", AimSetting.along(180, 0));
        MarkLight mark = stage.mark();
        assertThat(mark.background().lux()).isCloseTo(Stage.PEAK / (9 + R * R), within(11.0));
        assertThat(Stage.outdoors().camera(0, 4).mark().background()).isNull();
    }

    @Test
    void aLightOfWhichNothingIsKnownIsNamedAndLeftOut() {
        Stage stage = Stage.outdoors().head("key", Role.KEY, 2, 2, 1.5);
        stage.put(
                new Placement(
                        "old",
                        "Old lamp",
                        PlacementKind.HEAD,
                        Role.FILL,
                        null,
                        new Piece("Something", null, 0.2, null, null, 5, Mount.STAND)),
                1,
                1,
                1,
                AimSetting.along(0, 0));
        assertThat(stage.light().lights()).extracting(Placement::key).containsExactly("key");
        assertThat(stage.light().unknown()).containsOnlyKeys("old");
        assertThat(stage.light().unknown().get("old")).contains("Old lamp", "kit");
        assertThat(stage.light(Set.of("key")).lights()).isEmpty();
        assertThat(stage.tie("key", new SetStatus(SetStatus.State.OFF)).light().lights())
                .isEmpty();
    }

    /** Outdoors the ground is cut by what stands there: taking one light away must not cut it anew. */
    @Test
    void aLightThatIsTakenAsOffLeavesTheOthersAsTheyWere() {
        SetPlan ground = new SetPlan(
                null, 0, List.of(), List.of(), List.of(), List.of(), null, Surface.grey(0.5), null, null, null);
        Stage stage = Stage.outdoors()
                .with(ground)
                .head("key", Role.KEY, 2, 2, 1.5)
                .head("far", Role.EDGE, -11, 9, 3, cloth(1.2, 0.5));
        double before = stage.mark().of("key").facingLux();
        assertThat(stage.light(Set.of("far")).marks().get(0).of("key").facingLux())
                .isCloseTo(before, within(before * 1e-9));
    }

    static IntStream seeds() {
        return IntStream.range(0, 20);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void lightsAddUpAndOneMoreNeverDarkens(int seed) {
        Random random = new Random(seed);
        double[] at = random.doubles(6, -4, 4).toArray();
        Stage one = Stage.room(3.0, Surface.grey(0.4), Surface.grey(0.6)).head("a", Role.KEY, at[0], at[1], 2);
        Stage other = Stage.room(3.0, Surface.grey(0.4), Surface.grey(0.6)).head("b", Role.FILL, at[2], at[3], 1);
        Stage both = Stage.room(3.0, Surface.grey(0.4), Surface.grey(0.6))
                .head("a", Role.KEY, at[0], at[1], 2)
                .head("b", Role.FILL, at[2], at[3], 1);
        assertThat(both.mark().left().lux())
                .isCloseTo(one.mark().left().lux() + other.mark().left().lux(), within(1e-6));
        assertThat(both.mark().right().luxOfEach().get(1))
                .isCloseTo(other.mark().right().lux(), within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aStageSeenInAMirrorHasItsCheeksExchanged(int seed) {
        Random random = new Random(seed);
        double x = random.nextDouble() * 8 - 4;
        double y = random.nextDouble() * 8 - 4;
        MarkLight here =
                Stage.outdoors().head("key", Role.KEY, x, y, 2, cloth(1, 0.4)).mark();
        MarkLight there =
                Stage.outdoors().head("key", Role.KEY, -x, y, 2, cloth(1, 0.4)).mark();
        assertThat(there.left().lux()).isCloseTo(here.right().lux(), within(1e-6));
        assertThat(there.right().lux()).isCloseTo(here.left().lux(), within(1e-6));
    }

    private static Modifier cloth(double width, double distance) {
        return new Modifier("Silk", 1, 2, 0, true, width, distance, null);
    }

    @Test
    void stopsAreCountedFromTheCamerasExposure() {
        ShotLighting light =
                Stage.outdoors().camera(0, -4).head("key", Role.KEY, 0, 3, 1.5).light();
        double needed = 250 * 8 / (1.0 / 48 * 800); // T2.8, 1/48 s, ISO 800
        assertThat(light.metering().orElseThrow().over(needed * 2))
                .satisfies(s -> assertThat(s.value()).isCloseTo(1, within(1e-12)));
        assertThat(light.metering().orElseThrow().over(0)).isNull();
        assertThat(Stage.outdoors().light().metering()).isEmpty();
    }

    @Test
    void bothSchoolsOfRatioAreToldApart() {
        Stage stage = Stage.outdoors()
                .camera(0, 4)
                .head("key", Role.KEY, 3, 3, 1.5)
                .head("fill", Role.FILL, -3, 3, 1.5)
                .tie("fill", new Level(25));
        ShotLighting light = stage.light();
        Ratio ratio = light.ratio(light.mark("mark").orElseThrow());
        assertThat(ratio.keyToFill().ratio()).isCloseTo(4, within(0.01));
        // the key, soft as it is, reaches a little round to the other cheek
        assertThat(ratio.litToShadow().ratio()).isBetween(3.3, 3.9);
    }

    @Test
    void withoutFillAmbienceIsTheFillAndInTheDarkThereIsNoRatio() {
        Stage stage = Stage.outdoors()
                .head("key", Role.KEY, 3, 3, 1.5)
                .head("room", Role.AMBIENCE, -3, 3, 1.5)
                .tie("room", new Level(12.5));
        ShotLighting light = stage.light();
        assertThat(light.ratio(light.mark("mark").orElseThrow()).keyToFill().ratio())
                .isCloseTo(8, within(0.01));
        ShotLighting dark = Stage.outdoors().light();
        assertThat(dark.ratio(dark.mark("mark").orElseThrow())).isEqualTo(new Ratio(null, null));
    }

    @ParameterizedTest
    @CsvSource({"6.5, 7.0, 89", "12, 3.8, 48"})
    void shadowsThroughAnOpeningFanByItsDistanceFromTheSource(double awayM, double fanDeg, double penumbraMm) {
        SetPlan.Opening pane = new SetPlan.Opening(
                "pane", SetPlan.OpeningKind.WINDOW, PlanPoint.of(-0.4, 5), PlanPoint.of(0.4, 5), 0.5, 2.5);
        Stage stage = Stage.blackRoom(pane);
        stage.tie("mark", new Place(0, 1.8, false));
        stage.put(
                new Placement(
                        "sun",
                        "Sun",
                        PlacementKind.HEAD,
                        Role.KEY,
                        null,
                        new Piece(
                                "Discharge",
                                null,
                                0.18,
                                5600.0,
                                5600.0,
                                1350,
                                Mount.STAND,
                                null,
                                Stage.lamp(LevelCurve.LINEAR),
                                null,
                                null)),
                0,
                5 + awayM,
                Stage.FACE_M,
                AimSetting.atMark("mark", Stage.FACE_M));
        stage.tie("sun", new Level(100)).tie("sun", new ColourTemperature(5600));
        MarkLight.Through through = stage.mark().sources().get(0).through();
        assertThat(through.opening()).isEqualTo("pane");
        assertThat(through.fanDeg()).isCloseTo(fanDeg, within(0.05));
        assertThat(through.edgePenumbraM() * 1000).isCloseTo(penumbraMm, within(0.7));
        assertThat(through.parallel()).isEqualTo(fanDeg < 5);
    }
}
