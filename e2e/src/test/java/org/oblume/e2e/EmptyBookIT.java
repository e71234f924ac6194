package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class EmptyBookIT {

    @Test
    void aCrewStartsFromNothingWithTheScreenAlone() {
        try (RunningOblume oblume = RunningOblume.empty(RunningOblume.newData());
                Browser crew = new Browser(oblume.address())) {
            crew.open("/");
            crew.seeText("The book is empty. Start a production");
            crew.press("New production…");
            crew.fill("Name", "Second unit");
            crew.press("Start production");
            crew.seeText("No scene yet.");
            crew.press("New scene…");
            crew.fill("Number", "30");
            crew.fill("Heading", "INT. BOATHOUSE, DAY");
            crew.fill("Location", "Boathouse");
            crew.press("Start scene");
            crew.until("be in 30A", d -> crew.text("header h1").equals("30A") ? true : null);
            crew.press("Place…");
            crew.press("Bicolour LED panel 200 W");
            crew.fill("What the crew calls it here", "Key");
            crew.press("Place it");
            crew.see("[data-key=key]");
            crew.reads("LEVEL", "100 %");
            crew.press("Rebuild");
            crew.seeText("0 of 3 done");
            assertThat(crew.complaints()).isEmpty();
        }
    }
}
