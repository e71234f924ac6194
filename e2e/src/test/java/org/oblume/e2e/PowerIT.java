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
}
