package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Story 5: no mains on the slipway. */
class PowerIT {

    private RunningOblume oblume;
    private Browser gaffer;
    private Person person;

    @BeforeEach
    void start() throws Exception {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        person = Person.ofTheDemo(oblume, "LEAD");
        gaffer = new Browser(oblume.address());
        gaffer.goIn("lead");
    }

    @AfterEach
    void stop() {
        gaffer.close();
        oblume.close();
    }

    @Test
    void theSmallGeneratorsLoadStandsBesideItsLimitAndTheBatteriesBesideTheirMinutes() throws Exception {
        gaffer.open("/shots/11/power");
        gaffer.seeText("0.47");
        gaffer.seeText("99 min");
        gaffer.press("⅓ lower");
        gaffer.seeText("2 h 0");
        gaffer.press("What feeds the set…");
        gaffer.fill("kVA of Small generator", "0");
        gaffer.press("Keep");
        gaffer.seeText("The rating of Small generator");
        gaffer.fill("kVA of Small generator", "0.5");
        gaffer.press("Keep");
        gaffer.gone("[role=dialog]");
        gaffer.seeText("of its rating: over 80 %");
        gaffer.see("[aria-label='Key on G1']").click();
        gaffer.see("[aria-label='Key on G1'][aria-pressed=true]");
        JsonNode page = person.get("/api/shots/11/power");
        assertThat(page.at("/circuits/0/drawn").toString()).contains("\"Key\"");
        assertThat(page.get("batteries").toString()).doesNotContain("\"Key\"");
        assertThat(page.at("/plan/sources/0/kva").asDouble()).isEqualTo(0.5);
    }

    /** The kettle in the set-ups is told over the day; the sign from the mains needs no battery; the ambience's cable is walked over. */
    @Test
    void theDaySaysWhenACircuitIsOverAndThePlanWhereCablesAreWalkedOver() throws Exception {
        gaffer.open("/shots/3/power");
        gaffer.seeText("Over day 2");
        gaffer.see("[aria-label^='B2: 13.5 A at most'][aria-label$='over its limit.']");
        gaffer.open("/productions/1/days/2");
        gaffer.seeText("B2 is 0.7 A over: 13.5 of 12.8 A (80 % of its breaker), set-up of 4C (");
        gaffer.seeText("Full in the morning: 1 × 75 Wh");
        gaffer.see("[aria-label='Eel 1 from the mains']").click();
        gaffer.seeText("Full in the morning, if so: none");
        gaffer.open("/shots/3/plot");
        gaffer.press("Cables");
        gaffer.seeText("Key from B1");
        gaffer.seeText("crosses between the camera and Repairer");
    }

    @Test
    void whatFeedsALightIsSaidInOneTapOnTheWalk() throws Exception {
        gaffer.phone();
        gaffer.open("/shots/4/walk");
        gaffer.see("button[aria-label^='Key: ']").click();
        gaffer.see("[data-step=FEED] button").click();
        gaffer.press("B2cart");
        gaffer.gone("[role=dialog]");
        gaffer.seeText("B2, 8.00 m");
        assertThat(person.get("/api/shots/4/power").at("/circuits/1/drawn").toString())
                .contains("\"key\":");
    }
}
