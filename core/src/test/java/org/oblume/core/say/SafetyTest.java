package org.oblume.core.say;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.carry.Change;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetStatus;

/** No line does anything but what was said: what is not wholly understood changes nothing, what is ambiguous is asked. */
class SafetyTest {

    private static final List<StockItem> STOCK = List.of(
            correction("Quarter CTO", 42),
            correction("Half CTO", 81),
            correction("Full CTO", 167),
            cloth("Half grid cloth"),
            cloth("Full grid cloth"),
            cloth("Muslin, bleached"),
            cloth("Muslin, unbleached"));

    private static StockItem correction(String name, double mired) {
        return new StockItem(name, StockKind.CORRECTION, FilterEffect.of(mired, 0.5, 0), 0, null, null, null);
    }

    private static StockItem cloth(String name) {
        return new StockItem(name, StockKind.DIFFUSION, FilterEffect.of(3, 1.6667, 0), 0.7, null, null, null);
    }

    private static Stage stage() {
        return Stage.outdoors()
                .camera(0, -4)
                .head("key", Role.KEY, 0, 3, 1.5)
                .head("tube-a", Role.EDGE, -2, -1, 2.1)
                .head("tube-b", Role.EDGE, -2, 1, 2.1)
                .tie("key", new Level(60))
                .tie("tube-a", new Level(30))
                .tie("tube-b", new Level(40))
                .tie("key", new Modifiers(List.of(Modifier.of(STOCK.get(1)))));
    }

    private static ParsedCommand say(String line) {
        Stage stage = stage();
        return CommandParser.read(line, stage.recording(), stage.state(), STOCK);
    }

    private static List<Change> off(String key) {
        return List.of(new Change(key, new SetStatus(SetStatus.State.OFF)));
    }

    @ParameterizedTest
    @CsvSource({
        "tube off,tube,'tube-a,tube-b'",
        "rim down a third,rim,'tube-a,tube-b'",
        "kill the tube and key down a third,tube,'tube-a,tube-b'",
        "kye 45%,kye,key",
        "key cto,cto,'Quarter CTO,Half CTO,Full CTO'",
        "tube a grid,grid,'Half grid cloth,Full grid cloth'"
    })
    void whatFitsSeveralIsAskedWithAllOfThemAndChangesNothing(String line, String words, String candidates) {
        ParsedCommand said = say(line);
        assertThat(said.changes()).isEmpty();
        assertThat(said.asks()).singleElement().satisfies(ask -> {
            assertThat(ask.words()).isEqualTo(words);
            assertThat(ask.candidates()).containsExactlyInAnyOrder(candidates.split(","));
            assertThat(ask.lines()).hasSameSizeAs(ask.candidates());
        });
    }

    /** Each choice reads as a line of its own that is understood. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "tube off",
                "kye 45%",
                "rim down a third",
                "tube a grid",
                "key muslin",
                "half a stop hotter on the tube",
                "tube a three foot up"
            })
    void whateverIsChosenIsUnderstood(String line) {
        for (String chosen : say(line).asks().get(0).lines()) {
            ParsedCommand said = say(chosen);
            assertThat(said.problems()).as(chosen).isEmpty();
            assertThat(said.asks()).as(chosen).isEmpty();
            assertThat(said.changes()).as(chosen).isNotEmpty();
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "key 45% flurble",
                "key down a third, flurble up half a stop",
                "key and flurble off",
                "key 30% and tube a",
                "45%",
                "key 2 off",
                "key down",
                "key to half the tube a",
                "key at t4",
                "key not off",
                "key 30% off",
                "flurble",
                "no",
                "key off the wall",
                "key half cto, kick off"
            })
    void whatIsNotWhollyUnderstoodChangesNothing(String line) {
        ParsedCommand said = say(line);
        assertThat(said.problems()).as(line).isNotEmpty();
        assertThat(said.changes()).as(line).isEmpty();
        assertThat(said.holds()).as(line).isEmpty();
    }

    /** <em>Half CTO out</em> takes the gel off. It never switches the light, and the gel is never hung. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "key half cto out",
                "key half cto off",
                "lose the half cto",
                "key no half cto",
                "key minus the half cto",
                "take the half cto off the key",
                "pull the half cto out of the key",
                "key drop the half cto",
                "key cto off"
            })
    void aGelThatGoesNeverTakesTheLightWithIt(String line) {
        assertThat(say(line).changes()).as(line).containsExactly(new Change("key", Modifiers.NONE));
    }

    @ParameterizedTest
    @ValueSource(strings = {"key light off", "kill the key", "turn the key off", "key out", "no key", "lose the key"})
    void aLightGoesOffInManyWords(String line) {
        assertThat(say(line).changes()).as(line).isEqualTo(off("key"));
    }

    @Test
    void aNumberInANameIsTheSameSpokenOrWritten() {
        Stage stage = stage().head("strip-one", Role.EDGE, 4, 1, 2).head("strip-two", Role.EDGE, 4, 2, 2);
        for (String line : List.of("strip one and strip two off", "strip 1 and strip 2 off")) {
            assertThat(CommandParser.read(line, stage.recording(), stage.state(), STOCK)
                            .changes())
                    .as(line)
                    .extracting(Change::placement)
                    .containsExactly("strip-one", "strip-two");
        }
    }

    @Test
    void whatIsSelectedIsMeantOnlyWhereNothingIsNamed() {
        Stage stage = stage();
        CommandParser.Heard heard =
                new CommandParser.Heard(stage.recording(), stage.state(), STOCK, List.of(), "tube-a");
        assertThat(CommandParser.read("off", heard).changes()).isEqualTo(off("tube-a"));
        assertThat(CommandParser.read("it off", heard).changes()).isEqualTo(off("tube-a"));
        assertThat(CommandParser.read("key off", heard).changes()).isEqualTo(off("key"));
    }

    static IntStream seeds() {
        return IntStream.range(0, 400);
    }

    /** Whatever the words are: never changes beside a problem or an ask, and a name that was not said is never changed. */
    @ParameterizedTest
    @MethodSource("seeds")
    void onlyWhatWasNamedIsEverChanged(int seed) {
        List<String> words = List.of(
                "key", "tube", "a", "b", "off", "out", "up", "down", "half", "cto", "grid", "30%", "a", "third", "and",
                ",", "kill", "the", "lose", "on", "in", "foot", "closer", "3200", "no", "swap", "for", "quarter",
                "stop", "hold", "to", "at", "back", "warm");
        Random random = new Random(seed);
        String line = IntStream.range(0, 1 + random.nextInt(8))
                .mapToObj(i -> words.get(random.nextInt(words.size())))
                .collect(Collectors.joining(" "));
        ParsedCommand said = say(line);
        if (!said.problems().isEmpty() || !said.asks().isEmpty()) {
            assertThat(said.changes()).as(line).isEmpty();
        }
        boolean gelsOnly = said.changes().stream().allMatch(c -> c.value() instanceof Modifiers);
        said.changes().forEach(c -> assertThat(gelsOnly
                        || line.toLowerCase(Locale.ROOT).contains(c.placement().split("-")[0]))
                .as(line)
                .isTrue());
    }
}
