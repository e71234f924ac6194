package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Things as they really are: own sizes, own stock, part of a gel, another unit in a light's place. */
class OwnThingsIT {

    private static final String PLOT = "/shots/4/plot";
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

    private static void placed(String kind, String name, String wide, String high) {
        crew.open(PLOT);
        crew.press("Place…");
        crew.see("[role=dialog]");
        crew.press(kind);
        crew.fill("What the crew calls it here", name);
        crew.fill("Wide", wide);
        crew.fill("High", high);
        crew.press("Place it");
        crew.until("see it placed", d -> crew.text("aside h2").equals(name) ? true : null);
    }

    @Test
    void clothsAndWindowsAreMadeAtTheirOwnSize() {
        placed("Frame 1.2 m", "Face silk", "0.6", "0.9");
        assertThat(crew.text("aside")).contains("0.6 × 0.9 m");
        placed("Overhead cloth 3.6 m", "Big top", "6", "6");
        assertThat(crew.text("aside")).contains("6 × 6 m", "a qualified rigger");
        placed("Window with daylight", "Sea window", "5", "2.2");
        assertThat(crew.text("aside")).contains("5 × 2.2 m");
        assertThat(crew.complaints()).isEmpty();
    }

    @Test
    void aGelOfOurOwnIsMadeAndHungOnHalfOfALight() {
        crew.open("/stock");
        crew.press("New…");
        crew.fill("What it is called", "Marsh amber");
        crew.fill("Light it costs, stops", "0.7");
        crew.fill("Shift, mired", "90");
        crew.press("Keep");
        crew.seeText("ours");
        crew.open(PLOT);
        crew.pressCss("[data-key=edge]");
        crew.pressCss("[aria-label='Add a filter or a cloth from the stock']");
        crew.type("marsh amb");
        crew.see("[role=option].cursor-pointer, .options [role=option]");
        crew.press(Keys.ENTER);
        crew.until("see it hang", d -> hanging().contains("Marsh amber") ? true : null);
        crew.pressCss("[data-attribute=MODIFIERS] li:last-child button");
        crew.choose("Over which part of the front", "its left part");
        crew.until("see it over a part", d -> hanging().contains("Marsh amber, left half") ? true : null);
        crew.choose("Over which part of the front", "all of the front");
        crew.until("see all of it put back", d -> hanging().contains("Marsh amber, left half") ? null : true);
    }

    private static String hanging() {
        return crew.text("[data-attribute=MODIFIERS]");
    }

    @Test
    void anotherUnitTakesALightsPlaceFromHereOn() {
        crew.open(PLOT);
        crew.pressCss("[data-key=key]");
        crew.press("Do…");
        crew.press("Unit, tag, size…");
        crew.fill("Which unit", "Heron 5");
        crew.press("Exchange");
        crew.seeText("Heron 5");
        crew.open("/shots/1/plot");
        crew.pressCss("[data-key=key]");
        assertThat(crew.text("aside")).contains("Heron 2").doesNotContain("Heron 5");
    }
}
