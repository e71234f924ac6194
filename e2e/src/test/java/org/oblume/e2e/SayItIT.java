package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A scene is built, lit, patched and changed by called-out lines alone. */
class SayItIT {

    /** Slate 17B: the ferry waiting room, planned. */
    private static final String PLOT = "/shots/10/plot";

    private static final String CHOOSING = "return !!document.activeElement.closest('#say-echo')";

    private static RunningOblume oblume;
    private static Browser crew;

    @BeforeAll
    static void start() throws IOException {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        crew = new Browser(oblume.address());
        crew.laptop();
    }

    @AfterAll
    static void stop() {
        crew.close();
        oblume.close();
    }

    private static void say(String line) {
        crew.pressCss("#say-it");
        crew.type(line);
        crew.press(Keys.ENTER);
        crew.until("keep " + line, d -> crew.value("Say it").isEmpty() ? true : null);
    }

    /** Says a line in which something is asked, and takes the first that is offered. */
    private static void sayAndChoose(String line, String asked) {
        crew.pressCss("#say-it");
        crew.type(line);
        crew.seeText(asked);
        crew.press(Keys.ENTER);
        crew.until("be at what can be chosen", d -> Boolean.TRUE.equals(crew.script(CHOOSING)) ? true : null);
        crew.type("1");
        crew.until("see it chosen", d -> crew.value("Say it").equals(line) ? null : true);
        crew.press(Keys.ENTER);
        crew.until("keep " + line, d -> crew.value("Say it").isEmpty() ? true : null);
    }

    private static long fetched(String of) {
        return ((Number) crew.fetch(
                        "const p = (await (await fetch('/api/shots/10/plot')).json()).placements; return " + of))
                .longValue();
    }

    @Test
    void tenThingsArePlacedLitPatchedAndChangedByLinesAlone() {
        crew.open(PLOT);
        long before = fetched("p.length");
        sayAndChoose(
                "place a bicolour spot 300 as window key, 2 m from window post west and 4 m from bench end a, 2.2 m high, on the passenger, at 60 percent",
                "The tapes cross in two places");
        for (String line : List.of(
                "place a bicolour spot 150 as hair, on the passenger, quarter cto, at twenty percent",
                "add a full-colour led tube 1.2 called strip one, at thirty",
                "add a full-colour led tube 1.2 called strip two, at thirty",
                "new flexible led mat called top, half grid",
                "place a full-colour led bulb 9 as counter lamp",
                "add a white board 1.2 called wall bounce",
                "add a flag 1.2 called cutter",
                "add a single net 0.6 called scrim net",
                "new person called Porter")) {
            say(line);
        }
        assertThat(fetched("p.length")).isEqualTo(before + 10);
        say("window key on universe 1 at 101");
        say("warm the window key a quarter and take it down a third of a stop");
        say("strip one and strip two blue at 60 percent saturation");
        say("strip one off");
        say("top lose the half grid");
        say("note on the cutter: tape the floor");
        assertThat(fetched("p.find(x => x.placement.name === 'Window key').values.PATCH.value.address"))
                .isEqualTo(101);
        assertThat(fetched("Math.round(p.find(x => x.placement.name === 'Window key').values.LEVEL.value.percent)"))
                .isEqualTo(48);
        assertThat(fetched("p.find(x => x.placement.name === 'Strip two').values.COLOUR.value.hueDeg"))
                .isEqualTo(240);
        assertThat(fetched("p.find(x => x.placement.name === 'Top').values.MODIFIERS.value.items.length"))
                .isZero();
        say("undo");
        assertThat(fetched("p.find(x => x.placement.name === 'Top').values.MODIFIERS.value.items.length"))
                .isEqualTo(1);
        assertThat(crew.complaints()).isEmpty();
    }

    @Test
    void aNameThatFitsTwoIsChosenByItsNumberAndNothingHappensBefore() {
        crew.open("/shots/4/plot");
        crew.pressCss("#say-it");
        crew.type("lamp and edge off");
        crew.seeText("Bench lamp on set on to off");
        crew.press(Keys.ESCAPE);
        crew.pressCss("#say-it");
        crew.type("key muslin");
        crew.seeText("Which one?");
        crew.press(Keys.ENTER);
        crew.until("be at what can be chosen", d -> Boolean.TRUE.equals(crew.script(CHOOSING)) ? true : null);
        crew.type("2");
        crew.until("see it chosen", d -> crew.value("Say it").contains("unbleached") ? true : null);
        crew.press(Keys.ESCAPE);
        crew.press("What can be said");
        crew.press("just the key");
        crew.seeText("Ambience on set on to off");
        crew.press(Keys.ESCAPE);
        assertThat(crew.complaints()).isEmpty();
    }
}
