package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** The demo's shooting days. */
class DaysIT {

    private static final String SHOT = "button.grab[aria-label^='%s: set-up']";

    private RunningOblume oblume;
    private Browser gaffer;
    private Person person;

    @TempDir
    private Path files;

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

    private List<String> order(int day) throws Exception {
        List<String> slates = new ArrayList<>();
        for (JsonNode slot : person.get("/api/productions/1/days/" + day).get("slots")) {
            slates.add(slot.get("slate").asText());
        }
        return slates;
    }

    /** Story 20: the cheapest order waits for no sun; a person takes it, and takes it back. */
    @Test
    void theCheapestOrderWaitsForNoSunAndIsTakenByAPersonOnly() throws Exception {
        gaffer.open("/productions/1/days/2");
        gaffer.seeText("11A waits 45 min for the sun.");
        gaffer.seeText("The best order of these would save 42 min.");
        gaffer.press("Best order");
        gaffer.see("[aria-label='Order that is tried']");
        gaffer.seeText("45 min less of waiting for the light");
        gaffer.seeText("ends 42 min sooner");
        assertThat(order(2)).startsWith("11A");
        gaffer.press("Take this order");
        gaffer.seeText("No order of these shots costs less.");
        assertThat(order(2)).startsWith("11B", "11A");
        gaffer.press("Back to the order before");
        gaffer.seeText("would save 42 min");
        assertThat(order(2)).containsExactly("11A", "11B", "4C", "4D", "4E");
    }

    @Test
    void aShotIsTriedElsewhereByKeysAndByHand() throws Exception {
        gaffer.open("/productions/1/days/2");
        gaffer.see(SHOT.formatted("11B")).sendKeys(Keys.ARROW_LEFT);
        gaffer.seeText("11B, 11A, 4C, 4D, 4E ends");
        gaffer.press("Keep mine");
        gaffer.gone("[aria-label='Order that is tried']");
        gaffer.drag(gaffer.see(SHOT.formatted("4E")), -320, 0);
        gaffer.see("[aria-label='Order that is tried']");
        assertThat(order(2)).containsExactly("11A", "11B", "4C", "4D", "4E");
        gaffer.press("Take this order");
        gaffer.gone("[aria-label='Order that is tried']");
        assertThat(order(2).indexOf("4E")).isLessThan(4);
    }

    @Test
    void whatAShotTakesIsSaidAndTheRestOfTheDayMoves() throws Exception {
        gaffer.open("/productions/1/days/3");
        gaffer.seeText("after the wrap at 15:00");
        gaffer.see(SHOT.formatted("17A")).sendKeys(Keys.ENTER);
        gaffer.fill("Minutes of its takes", "5");
        gaffer.press("Keep");
        gaffer.gone("[role=dialog]");
        gaffer.press("Put a shot on…");
        gaffer.press("Put 4A on day 3");
        gaffer.press("Close");
        gaffer.see(SHOT.formatted("4A"));
        assertThat(order(3)).contains("4A");
        assertThat(order(1)).contains("4A");
    }

    @Test
    void aDayIsPutInFromATableAndTriedFirst() throws Exception {
        gaffer.open("/productions/1/days/2");
        gaffer.seeText("11A waits");
        gaffer.press("In from a file…");
        gaffer.upload(
                "input[type=file]",
                Files.writeString(files.resolve("day.csv"), "shot;what\n4C;close\n4D;reverse\nlunch;\n11A;wide\n"));
        gaffer.seeText("No shot of this production");
        gaffer.press("Try this order");
        gaffer.see("[aria-label='Order that is tried']");
        assertThat(order(2)).hasSize(5);
        gaffer.press("Take this order");
        gaffer.gone("[aria-label='Order that is tried']");
        assertThat(order(2)).containsExactly("4C", "4D", "11A");
    }

    @Test
    void onAPhoneTheDayIsAListWithArrows() throws Exception {
        gaffer.phone();
        gaffer.open("/productions/1/days/2");
        gaffer.see("[aria-label='11B sooner']").click();
        gaffer.seeText("Take this order");
        gaffer.press("Take this order");
        gaffer.seeText("Back to the order before");
        assertThat(order(2)).startsWith("11B", "11A");
    }
}
