package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
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
import org.oblume.core.plot.Daylight;
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
    void aFlagTakesAKeyAwayAndItsEdgeTakesHalf() {
        Stage stage = Stage.outdoors().head("key", Role.KEY, 0, 4, 1.5);
        double open = stage.mark().lit().lux();
        stage.grip("flag", PlacementKind.FLAG, 1, 1, null, 0, 2, 1.5, 0, 0);
        assertThat(stage.mark().lit().lux()).isZero();
        double half = stage.tie("flag", new Place(0.5, 2, true)).mark().lit().lux();
        assertThat(half).isBetween(open * 0.3, open * 0.7);
        assertThat(stage.tie("flag", new Place(2, 2, true)).mark().lit().lux()).isEqualTo(open);
        assertThat(stage.tie("flag", new Place(0, 2, true))
                        .tie("flag", SetStatus.STRUCK)
                        .mark()
                        .lit()
                        .lux())
                .isEqualTo(open);
    }

    @Test
    void aNetOnAStandCostsItsStopsAndAGelOnAFrameMovesTheColour() {
        Stage stage = Stage.outdoors().head("key", Role.KEY, 0, 4, 1.5);
        double open = stage.mark().lit().lux();
        stage.grip(
                "net",
                PlacementKind.NET,
                2,
                2,
                null,
                0,
                2,
                1.5,
                0,
                0,
                new Modifier("Single net", 0.5, 0, 0, false, null, null, null));
        assertThat(stage.mark().lit().lux()).isCloseTo(open / Math.sqrt(2), within(1e-6));
        stage.grip(
                "gel",
                PlacementKind.FRAME,
                2,
                2,
                null,
                0,
                1,
                1.5,
                0,
                0,
                new Modifier("Half CTO", 0.5, 81, 0, false, null, null, null));
        assertThat(stage.mark().lit().lux()).isCloseTo(open / 2, within(1e-6));
        assertThat(1e6 / stage.mark().lit().mix().reading().kelvin()).isCloseTo(1e6 / 5600 + 81, within(0.1));
    }

    @Test
    void aClothOnAStandSendsOnWhatTheClothOnTheHeadDoes() {
        MarkLight onHead =
                Stage.outdoors().head("key", Role.KEY, 0, 4, 1.5, cloth(1.2, 1)).mark();
        MarkLight onStand = Stage.outdoors()
                .head("key", Role.KEY, 0, 4, 1.5)
                .grip(
                        "cloth",
                        PlacementKind.FRAME,
                        1.2,
                        1.2,
                        null,
                        0,
                        3,
                        1.5,
                        0,
                        0,
                        new Modifier("Silk", 1, 2, 0, true, null, null, null))
                .mark();
        assertThat(onStand.lit().lux())
                .isCloseTo(onHead.lit().lux(), within(onHead.lit().lux() * 1e-6));
        assertThat(onStand.sources().get(0).angularSizeDeg())
                .isCloseTo(onHead.sources().get(0).angularSizeDeg(), within(1e-9));
    }

    @Test
    void aBoardSendsBackWhatTheFormulaSays() {
        Stage stage = Stage.outdoors()
                .head("fill", Role.FILL, 0, 1, 1.5)
                .grip("board", PlacementKind.BOUNCE, 1, 1, new Surface(0.8, 10, 0), 0, 3, 1.5, 180, 0)
                .tie("fill", AimSetting.along(0, 0));
        double wanted = byHand(new BeamShape(Stage.PEAK, 40), 2, 3, 0.8);
        MarkLight mark = stage.mark();
        assertThat(mark.lit().lux()).isCloseTo(wanted, within(wanted * 0.02));
        assertThat(mark.sources().get(0).straight()).isFalse();
        assertThat(1e6 / mark.lit().mix().reading().kelvin()).isCloseTo(1e6 / 5600 + 10, within(0.1));
    }

    /** Each bit of a board of 1 m: what it gets of a head, and what a cheek, turned 45° from its middle, gets of it; both straight before it. */
    private static double byHand(BeamShape beam, double headM, double faceM, double reflectance) {
        int n = 200;
        double sum = 0;
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                double x = (i + 0.5) / n - 0.5;
                double z = (j + 0.5) / n - 0.5;
                double toHead = Math.sqrt(headM * headM + x * x + z * z);
                double lux = beam.candela(Math.acos(headM / toHead)) * headM / Math.pow(toHead, 3);
                double toFace = Math.sqrt(faceM * faceM + x * x + z * z);
                double cheek = (x + faceM) / Math.sqrt(2) / toFace;
                sum += lux * reflectance / Math.PI * faceM / toFace * Math.max(0, cheek) / (toFace * toFace) / (n * n);
            }
        }
        return sum;
    }

    @Test
    void byAMirrorALightComesTheWholeWayRound() {
        Stage stage = Stage.outdoors()
                .head("sun", Role.KEY, 4, 4, 1.5)
                .grip("mirror", PlacementKind.MIRROR, 1, 1, null, 0, 4, 1.5, 135, 0)
                .grip("flag", PlacementKind.FLAG, 1, 1, null, 2, 2, 1.5, 45, 0)
                .tie("sun", AimSetting.along(270, 0));
        MarkLight mark = stage.mark();
        assertThat(mark.sources().get(0).distanceM()).isCloseTo(8, within(0.001));
        double wanted = 0.9 * Stage.PEAK / (64 + R * R);
        assertThat(mark.right().lux()).isCloseTo(wanted * Math.cos(Math.toRadians(45)), within(wanted * 0.01));
        assertThat(stage.tie("mirror", new Place(0, 6, true)).mark().lit().lux())
                .as("out of the beam's way")
                .isLessThan(1);
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
    void aWindowIsAsBrightAsItWasMetered() {
        Stage stage = Stage.outdoors();
        stage.put(
                new Placement(
                        "window",
                        "Window",
                        PlacementKind.DAYLIGHT,
                        Role.AMBIENCE,
                        null,
                        new Piece("Window", null, 2, null, null, 0, Mount.IN_PLACE, 1.0, null, null, null)),
                0,
                10,
                1.5,
                AimSetting.along(180, 0));
        stage.tie("window", new Daylight(3000, 0, null, null)).tie("window", new ColourTemperature(6500));
        double radius = Math.sqrt(2 / Math.PI);
        assertThat(stage.mark().sources().get(0).facingLux())
                .isCloseTo(3000 * 2 / Math.PI / (100 + radius * radius), within(0.1));
    }

    @Test
    void theSunComesThroughTheWindowFromWhereItStands() {
        SetPlan bare = Stage.outdoors().set();
        SetPlan south = new SetPlan(
                null,
                0,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                null,
                Surface.grey(0),
                null,
                null,
                new org.oblume.core.plot.Site(50, 0));
        Instant noon = Instant.parse("2026-03-20T12:07:00Z"); // the sun stands 40° up in the south
        double high = 1.5 + 3 * Math.tan(Math.toRadians(40));
        Stage stage = Stage.outdoors().with(south);
        stage.put(
                new Placement(
                        "window",
                        "Window",
                        PlacementKind.DAYLIGHT,
                        Role.AMBIENCE,
                        null,
                        new Piece("Window", null, 2, null, null, 0, Mount.IN_PLACE, 1.0, null, null, null)),
                0,
                -3,
                high,
                AimSetting.along(0, 0));
        stage.tie("window", new Daylight(0, 50_000, noon, null));
        MarkLight.SourceAtMark sun = stage.mark().sources().get(0);
        assertThat(sun.facingLux()).isCloseTo(50_000, within(50.0));
        assertThat(sun.from().degrees()).isCloseTo(180, within(1.0));
        assertThat(sun.elevationDeg()).isCloseTo(40, within(0.5));
        assertThat(sun.angularSizeDeg()).isCloseTo(0.53, within(1e-3));
        assertThat(stage.tie("window", new Daylight(0, 50_000, noon, noon.plusSeconds(3 * 3600)))
                        .mark()
                        .sources()
                        .get(0)
                        .facingLux())
                .as("three hours on it has left the pane")
                .isZero();
        assertThat(stage.with(bare).mark().lit().lux())
                .as("a place that is not known has no sun")
                .isZero();
    }

    @Test
    void daylightFollowsTheSunDown() {
        SetPlan there = new SetPlan(
                null,
                0,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                null,
                Surface.grey(0),
                null,
                null,
                new org.oblume.core.plot.Site(50, 0));
        Instant noon = Instant.parse("2026-03-20T12:00:00Z");
        double before = Double.MAX_VALUE;
        for (int hours = 0; hours <= 8; hours += 2) {
            double now = SkyChange.of(there.site(), new Daylight(1000, 0, noon, noon.plusSeconds(hours * 3600L)))
                    .sky();
            assertThat(now).isLessThan(before);
            before = now;
        }
        assertThat(before).isZero();
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

    @ParameterizedTest
    @CsvSource({"0.5, 0.1", "1, 0.4", "2, 1", "0.3, 0.5", "6, 2"})
    void aWindowIsWhatItsPiecesAddUpTo(double distance, double radius) {
        int n = 400;
        double side = radius * Math.sqrt(Math.PI);
        double sum = 0;
        for (int i = 0; i < n; i++) { // each bit sends I_n·cosψ per area; the meter sees it at the same angle
            for (int j = 0; j < n; j++) {
                double x = ((i + 0.5) / n - 0.5) * side;
                double z = ((j + 0.5) / n - 0.5) * side;
                double squared = distance * distance + x * x + z * z;
                double cosine = distance / Math.sqrt(squared);
                sum += 1000 / (side * side) * (side / n) * (side / n) * cosine * cosine / squared;
            }
        }
        MarkLight disc = discAt(distance, radius);
        assertThat(disc.sources().get(0).facingLux()).isCloseTo(sum, within(sum * 0.03));
    }

    private static MarkLight discAt(double distance, double radius) {
        double side = radius * Math.sqrt(Math.PI);
        Stage stage = Stage.outdoors();
        stage.put(
                new Placement(
                        "pane",
                        "Pane",
                        PlacementKind.DAYLIGHT,
                        Role.AMBIENCE,
                        null,
                        new Piece("Window", null, side, null, null, 0, Mount.IN_PLACE, side, null, null, null)),
                0,
                distance,
                Stage.FACE_M,
                AimSetting.along(180, 0));
        return stage.tie("pane", new Daylight(1000 * Math.PI / (side * side), 0, null, null))
                .mark();
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
