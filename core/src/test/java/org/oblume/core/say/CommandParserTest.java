package org.oblume.core.say;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.carry.Change;
import org.oblume.core.colour.GelColour;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.Stage;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Feed;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.LensNd;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.plot.Shutter;
import org.oblume.core.plot.Speed;
import org.oblume.core.plot.Stop;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.Tint;
import org.oblume.core.plot.White;

/** What a gaffer calls out, and what is understood of it. */
class CommandParserTest {

    private static final List<StockItem> STOCK = List.of(
            new StockItem("Half CTO", StockKind.CORRECTION, FilterEffect.of(81, 0.5, 0), 0, null, null, null),
            new StockItem("Quarter plus green", StockKind.TINT, FilterEffect.of(0, 0.14, 0.005), 0, null, null, null),
            new StockItem(
                    "Muslin, bleached", StockKind.DIFFUSION, FilterEffect.of(6, 2.3333, 0), 0.9, null, null, null),
            new StockItem(
                    "Full grid cloth", StockKind.DIFFUSION, FilterEffect.of(5, 2.6667, 0), 0.85, null, null, null),
            new StockItem(
                    "Kelp",
                    StockKind.COLOUR,
                    FilterEffect.of(0, 0.98, 0),
                    0,
                    null,
                    null,
                    new GelColour(0.2, 0.62, 0.3)));

    private static Stage stage() {
        Stage stage = Stage.outdoors()
                .camera(0, -4)
                .head("key", Role.KEY, 0, 3, 1.5)
                .head("edge", Role.EDGE, -2, -1, 2.1)
                .tie("key", new Level(60))
                .tie("edge", new Level(30));
        stage.put(
                new Placement(
                        "bench-lamp",
                        "Bench lamp",
                        PlacementKind.PRACTICAL,
                        Role.PRACTICAL,
                        null,
                        new Piece(
                                "Practical bulb",
                                "Moth",
                                0.1,
                                1800.0,
                                6500.0,
                                60,
                                Mount.IN_PLACE,
                                null,
                                Stage.lamp(LevelCurve.SQUARE),
                                null,
                                null)),
                1,
                1,
                1.2,
                AimSetting.along(0, -90));
        return stage.tie("bench-lamp", new Level(80)).tie("bench-lamp", new ColourTemperature(2700));
    }

    private static ParsedCommand say(String line) {
        Stage stage = stage();
        return CommandParser.read(line, stage.recording(), stage.state(), STOCK);
    }

    private static AttributeValue only(String line) {
        ParsedCommand said = say(line);
        assertThat(said.problems()).isEmpty();
        assertThat(said.changes()).hasSize(1);
        return said.changes().get(0).value();
    }

    @Test
    void severalChangesOfOneLightInOneBreath() {
        ParsedCommand said = say("key 45% 4300 half cto");
        assertThat(said.problems()).isEmpty();
        assertThat(said.changes()).extracting(Change::placement).containsOnly("key");
        assertThat(said.changes())
                .extracting(Change::value)
                .containsExactly(
                        new Level(45),
                        new ColourTemperature(4300),
                        new Modifiers(List.of(new Modifier("Half CTO", 0.5, 81, 0, false, null, null, null))));
    }

    @Test
    void whatFeedsALightIsSaid() {
        assertThat(only("key circuit b1")).isEqualTo(Feed.circuit("B1"));
        assertThat(only("edge fed from B2")).isEqualTo(Feed.circuit("B2"));
        assertThat(only("key on a battery")).isEqualTo(new Feed(Feed.From.BATTERY, null, null, null, null));
        assertThat(say("key on circuit").problems()).hasSize(1);
        assertThat(say("key on circuit B3, 45%").changes())
                .extracting(Change::value)
                .containsExactly(Feed.circuit("B3"), new Level(45));
    }

    @Test
    void theFrameTakesTheClothThatIsOn() {
        Modifiers hung = (Modifiers) only("key muslin bleached, frame 1.2 m");
        assertThat(hung.items())
                .containsExactly(new Modifier("Muslin, bleached", 2.3333, 6, 0, true, 1.2, 0.8, null).softAs(0.9));
        assertThat(only("key muslin bleached on a frame 1.2 m at 60 cm"))
                .isEqualTo(new Modifiers(
                        List.of(new Modifier("Muslin, bleached", 2.3333, 6, 0, true, 1.2, 0.6, null).softAs(0.9))));
        assertThat(say("key frame 1.2 m").problems())
                .singleElement()
                .satisfies(p -> assertThat(p.sentence().metric()).contains("nothing to hang"));
    }

    @ParameterizedTest
    @CsvSource({
        "edge down 1 stop,15",
        "edge down a stop,15",
        "rim down one stop,15",
        "edge down 1/3 stop,23.8",
        "edge down a third,23.8",
        "edge down two thirds of a stop,18.9",
        "edge down half a stop,21.2",
        "edge +1 stop,60",
        "edge -1 1/3 stops,11.9",
        "edge up by 1 stop,60",
        "edge −⅓,23.8",
        "edge up ½,42.4"
    })
    void stopsAreSpokenInManyWays(String line, double percent) {
        assertThat(((Level) only(line)).percent()).isCloseTo(percent, within(0.05));
    }

    @Test
    void aStopOnASquareLawLampIsNotHalfItsLevel() {
        assertThat(((Level) only("bench lamp down 1 stop")).percent()).isCloseTo(80 / Math.sqrt(2), within(0.05));
    }

    @ParameterizedTest
    @ValueSource(strings = {"bench lamp off", "Moth off", "lamp off", "practical out", "BENCH LAMP OFF"})
    void aLightIsCalledByNicknameUnitRoleOrItsLastWord(String line) {
        ParsedCommand said = say(line);
        assertThat(said.changes()).containsExactly(new Change("bench-lamp", new SetStatus(SetStatus.State.OFF)));
    }

    @Test
    void closerKeepsTheHeightAndMeasuresFromLensToFace() {
        assertThat(only("key closer 40 cm")).isEqualTo(new Place(0, 2.6, true));
        assertThat(only("key back 1 ft")).isEqualTo(new Place(0, 3.3, true));
        assertThat(only("key 2 m")).isEqualTo(new Place(0, 2, true));
        assertThat(say("key 2 m aim at repairer 45%").changes())
                .contains(new Change("key", new Place(0, 2, true)), new Change("key", new Level(45)));
        Place edge = (Place) only("edge 2 m");
        assertThat(Math.sqrt(edge.xM() * edge.xM() + edge.yM() * edge.yM() + 0.36))
                .isCloseTo(2, within(0.01));
        assertThat(say("key closer 40 cm hold").holds()).containsExactly("key");
        assertThat(say("edge 50 cm").problems().get(0).sentence().metric()).contains("higher or lower");
    }

    @Test
    void whatIsAimedAlongABearingMovesAlongItAndHasNoThrow() {
        ParsedCommand said = say("key aim 90 down 0, closer 40 cm");
        assertThat(said.changes()).contains(new Change("key", new Place(0.4, 3, true)));
        assertThat(say("key aim 90 down 0, at 2 m").problems().get(0).sentence().metric())
                .contains("along a bearing");
    }

    @Test
    void fromABearingAndAHeightItStandsThere() {
        ParsedCommand said = say("key from 118 up 24 at 6.5 m");
        assertThat(said.problems()).isEmpty();
        double across = 6.5 * Math.cos(Math.toRadians(24));
        assertThat(((Place) said.changes().get(0).value()).xM())
                .isCloseTo(across * Math.sin(Math.toRadians(118)), within(0.006));
        assertThat(((Height) said.changes().get(1).value()).heightM())
                .isCloseTo(1.5 + 6.5 * Math.sin(Math.toRadians(24)), within(0.006));
    }

    @Test
    void heightsCompassAndAims() {
        assertThat(only("key height 2.1 m")).isEqualTo(new Height(2.1));
        assertThat(only("key up 20 cm")).isEqualTo(new Height(1.7));
        assertThat(only("key lower 50 cm")).isEqualTo(new Height(1));
        assertThat(only("key west 30 cm")).isEqualTo(new Place(-0.3, 3, true));
        assertThat(only("edge aim at repairer")).isEqualTo(AimSetting.atMark("mark", 1.5));
        assertThat(only("edge aim 40 down 20")).isEqualTo(AimSetting.along(40, -20));
        assertThat(say("key beam 30°").problems().get(0).sentence().metric()).contains("no focus", "40°");
        assertThat(only("key tint +0.003")).isEqualTo(new Tint(0.003));
        assertThat(only("key full")).isEqualTo(new Level(100));
    }

    @Test
    void theCameraIsToldTheSameWay() {
        ParsedCommand said = say("camera t4 1/3 iso 1600 1/50 white 3200 +0.002 nd 0.6 35 mm");
        assertThat(said.problems()).isEmpty();
        assertThat(said.changes())
                .extracting(Change::value)
                .containsExactly(
                        Stop.parse("4 1/3"),
                        new Speed(1600),
                        Shutter.parse("1/50"),
                        new White(3200, 0.002),
                        new LensNd(0.6),
                        new Lens(35));
    }

    @Test
    void theNextClauseGoesOnAboutTheSameAndALaterWordWins() {
        ParsedCommand said = say("edge 20%, 3200; key 50%, 55%");
        assertThat(said.changes())
                .containsExactly(
                        new Change("edge", new Level(20)),
                        new Change("edge", new ColourTemperature(3200)),
                        new Change("key", new Level(55)));
        assertThat(say("edge 20% and take it up a stop").changes()).containsExactly(new Change("edge", new Level(40)));
        assertThat(say("edge down 1 stop, down 1 stop").changes()).containsExactly(new Change("edge", new Level(7.5)));
    }

    @Test
    void gelsComeOffByName() {
        Stage stage = stage();
        stage.tie("key", new Modifiers(List.of(new Modifier("Half CTO", 0.5, 81, 0, false, null, null, null))));
        assertThat(CommandParser.read("key lose half cto", stage.recording(), stage.state(), STOCK)
                        .changes())
                .containsExactly(new Change("key", Modifiers.NONE));
        assertThat(CommandParser.read("key no kelp", stage.recording(), stage.state(), STOCK)
                        .problems()
                        .get(0)
                        .sentence()
                        .metric())
                .isEqualTo("key has no Kelp on: it wears Half CTO.");
    }

    @ParameterizedTest
    @CsvSource({"key 45% haf cto,haf,half cto", "key muzlin,muzlin,'muslin, bleached'"})
    void anUnknownWordIsPointedAtAndSomethingNearIsOffered(String line, String word, String offered) {
        ParsedCommand.Problem problem = say(line).problems().get(0);
        assertThat(line.substring(problem.from(), problem.to())).isEqualTo(word);
        assertThat(problem.suggestions()).contains(offered);
    }

    @Test
    void whatCannotBeIsRefusedInWordsAndNothingElseOfTheLineIsTaken() {
        ParsedCommand said = say("key 450%, edge 20%");
        assertThat(said.problems())
                .singleElement()
                .satisfies(p -> assertThat(p.sentence().metric()).contains("450"));
        assertThat(said.changes()).isEmpty();
        assertThat(say("key up 1 stop").problems().get(0).sentence().metric()).contains("short by 0.3");
        assertThat(say("key 1500").problems().get(0).sentence().metric()).contains("2700");
        assertThat(say("camera 45%").problems()).isNotEmpty();
        assertThat(say("key").problems().get(0).sentence().metric()).contains("Say what changes");
        assertThat(say("").problems()).isEmpty();
    }

    static IntStream seeds() {
        return IntStream.range(0, 300);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void anyJumbleOfWordsIsAnsweredAndNeverThrown(int seed) {
        List<String> words = Arrays.asList(
                "key", "edge", "lamp", "45%", "up", "down", "1", "stop", "1/3", "frame", "1.2", "m", "closer", "40",
                "cm", "hold", "from", "up", "at", "aim", "beam", "tint", "white", "nd", "iso", "camera", "t4", ",",
                "no", "half", "cto", "°", "-", "\"", "'");
        Random random = new Random(seed);
        String line = IntStream.range(0, 1 + random.nextInt(9))
                .mapToObj(i -> words.get(random.nextInt(words.size())))
                .collect(Collectors.joining(" "));
        ParsedCommand said = say(line);
        assertThat(said.problems())
                .allSatisfy(p -> assertThat(p.sentence().metric()).isNotBlank());
    }

    @Test
    void mirrorIsTurnedSoThatItSendsALightToAMark() {
        Stage stage =
                Stage.outdoors().camera(0, -4).head("key", Role.KEY, 6, 1, 2).tie("key", new Level(100));
        stage.put(
                new Placement(
                        "board",
                        "Board",
                        PlacementKind.MIRROR,
                        Role.KEY,
                        null,
                        new Piece(
                                "Mirror board 1 m",
                                null,
                                1,
                                null,
                                null,
                                0,
                                Mount.STAND,
                                1.0,
                                null,
                                Surface.grey(0.9),
                                null)),
                3,
                6,
                2.5,
                AimSetting.along(0, 0));
        assertThat(stage.light().mark("mark").orElseThrow().sources().get(0).straight())
                .isTrue();
        ParsedCommand said = CommandParser.read("board send key to repairer", stage.recording(), stage.state(), STOCK);
        assertThat(said.problems()).isEmpty();
        said.changes().forEach(c -> stage.tie(c.placement(), c.value()));
        MarkLight.SourceAtMark sent =
                stage.light().mark("mark").orElseThrow().sources().get(0);
        assertThat(sent.straight()).isFalse();
        assertThat(sent.distanceM()).isCloseTo(Math.sqrt(9 + 25 + 0.25) + Math.sqrt(9 + 36 + 1), within(0.02));
        assertThat(sent.from().degrees()).isCloseTo(Math.toDegrees(Math.atan2(3, 6)), within(0.5));
    }

    @Test
    void lightIsPutOutsideOnPurpose() {
        assertThat(only("key inside")).isEqualTo(new Place(0, 3, false));
        assertThat(say("key inside, outside from 118 up 24 at 9.7 m").changes())
                .extracting(Change::value)
                .contains(new Place(7.82, -4.16, true), new Height(5.45));
    }

    @Test
    void fullIsALevelUnlessItBeginsACloth() {
        assertThat(only("key full")).isEqualTo(new Level(100));
        assertThat(only("key full grid cloth")).isInstanceOf(Modifiers.class);
    }
}
