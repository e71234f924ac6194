package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Story 21: tomorrow's truck. */
class KitIT {

    private RunningOblume oblume;
    private Browser boy;
    private Person person;

    @BeforeEach
    void start() throws Exception {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        person = Person.ofTheDemo(oblume, "LEAD");
        boy = new Browser(oblume.address());
        boy.goIn("lead");
    }

    @AfterEach
    void stop() {
        boy.close();
        oblume.close();
    }

    /** The key of 4A is out on hire, of a cloth for 22A there is none. */
    @Test
    void kitSaysTheEveningBeforeWhatIsShortAndWhatCouldStandIn() throws Exception {
        boy.open("/productions/1/kit");
        boy.seeText("Day 4 needs");
        boy.seeText("Heron 2 is out on hire until 20 Nov; it is recorded for Key.");
        boy.seeText("Instead: Heron 1, Bicolour LED spot 300 W: reaches the same light");
        boy.seeText("1 missing, for Key.");
        boy.seeText("Instead: without it, set anew: reaches the same light");
        boy.press("Count something…");
        boy.fill("What it is", "Half grid cloth");
        boy.fill("Left on the roll", "1.5");
        boy.press("Keep");
        boy.gone("[role=dialog]");
        boy.until(
                "see nothing but the unit missing",
                d -> boy.texts("[aria-label=Short] > li").size() == 1 ? true : null);
        boy.open("/productions/1/days/4");
        boy.seeText("Heron 2, wanted for 4A: out on hire until 20 Nov.");
        boy.open("/shots/1/plot");
        boy.seeText("Heron 2 (Key) is out on hire until 20 Nov: not there on day 4.");
        JsonNode day = person.get("/api/productions/1/days/4/kit");
        assertThat(day.get("notices")).hasSize(1);
    }

    @Test
    void aPullListIsCountedOutAndBackByTwoOneOfThemWithoutALine() throws Exception {
        boy.open("/productions/1/kit/lists");
        boy.press("Make a pull list");
        boy.seeText("Pull list: Day");
        String list = boy.path();
        try (Browser grip = new Browser(oblume.address())) {
            grip.phone();
            grip.goIn("crew");
            grip.open(list);
            grip.seeText("to count out");
            grip.network(false);
            grip.see("[data-line^='Stand'] button").click();
            grip.seeText("waits to be sent");
            grip.see("[data-line^='Flag 1.2 m'] button").click();
            boy.see("[data-line^='Plaice'] button").click();
            boy.see("[data-line^='Plaice'] button[aria-pressed=true]");
            boy.see("[data-line^='Flag 1.2 m'] button").click();
            boy.see("[data-line^='Flag 1.2 m'] button[aria-pressed=true]");
            grip.network(true);
            boy.see("[data-line^='Stand'] button[aria-pressed=true]");
            grip.seeText("counted it since you saw it: 1 out, 0 back");
            grip.press("Theirs holds");
            grip.until("see nothing to settle", d -> grip.texts("[role=alert]").isEmpty() ? true : null);
            grip.press("Back");
            grip.see("[data-line^='Stand'] button").click();
            grip.see("[aria-label='One Stand less']").click();
            grip.see("[data-line^='Plaice'] button").click();
            grip.see("[data-line^='Plaice'] button[aria-pressed=true]");
            boy.press("Back");
            boy.see("[data-line^='Flag 1.2 m'] button").click();
            boy.press("Wrap this list");
            boy.seeText("Missing at wrap: 1 × Stand");
            grip.seeText("Missing at wrap: 1 × Stand");
        }
        JsonNode kept = person.get("/api" + list);
        assertThat(kept.get("missing").asInt()).isEqualTo(1);
        assertThat(kept.get("wrappedBy").asText()).isNotEmpty();
    }

    @Test
    void theLabelOfTheWrongMuslinSaysSoBeforeItIsUp() {
        boy.phone();
        boy.open("/shots/3/rebuild");
        toTheKey();
        boy.open("/u/c-b1");
        boy.seeText("Muslin, bleached 1.2 × 1.2 m");
        boy.press("Hung at Key");
        boy.seeText("That is Muslin 1 (Muslin, bleached); Muslin, unbleached is recorded. With it: 6 mired cooler");
        boy.open("/u/C-U1");
        boy.press("Hung at Key");
        boy.seeText("Muslin 2 (Muslin, unbleached), as recorded.");
        boy.open("/shots/3/rebuild");
        toTheKey();
        boy.seeText("Named here: Muslin 2, Muslin, unbleached; it was as recorded then.");
        boy.open("/u/none");
        boy.seeText("No unit bears the tag “none”.");
    }

    private void toTheKey() {
        while (!boy.text("article h2").startsWith("Key")) {
            String before = boy.text("article h2");
            boy.press("Skip step");
            boy.until("see another step", d -> boy.text("article h2").equals(before) ? null : true);
        }
    }

    @Test
    void aUnitIsSaidToBeAwayChangedAndLookedAtAgain() throws Exception {
        person.post(
                "/api/productions/1/kit/units",
                "{\"tag\":\"X1\",\"name\":\"Egret\",\"what\":\"Bicolour LED spot 60 W\",\"size\":{},\"spans\":[]}");
        boy.open("/productions/1/kit/units");
        boy.see("button[data-state=in]");
        boy.until("find it", d -> boy.text().contains("Egret") ? true : null);
        boy.see("input[aria-label='Find in the kit']").sendKeys("egret");
        boy.until("see it alone", d -> boy.texts("button[data-state]").size() == 1 ? true : null);
        boy.see("button[data-state=in]").click();
        boy.press("Change…");
        boy.fill("Tag", "h1");
        boy.press("Keep");
        boy.seeText("Heron 1 bears the tag H1 already: give this one another.");
        boy.fill("Tag", "X-1");
        boy.press("Keep");
        boy.gone("[role=dialog]");
        boy.press("Change…");
        boy.seeText("As it was before (1)");
        boy.press("Take it out of the kit");
        boy.gone("[role=dialog]");
        boy.until("see it gone", d -> boy.texts("button[data-state]").isEmpty() ? true : null);
    }
}
