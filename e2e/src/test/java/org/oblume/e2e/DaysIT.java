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
        gaffer.seeText("11A waits 27 min for the sun.");
        gaffer.seeText("The best order of these would save 24 min.");
        gaffer.press("Best order");
        gaffer.see("[aria-label='Order that is tried']");
        gaffer.seeText("27 min less of waiting for the light");
        gaffer.seeText("ends 24 min sooner");
        assertThat(order(2)).startsWith("11A");
        gaffer.press("Take this order");
        gaffer.seeText("No order of these shots costs less.");
        assertThat(order(2)).startsWith("11B", "11A");
        gaffer.press("Back to the order before");
        gaffer.seeText("would save 24 min");
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
    void anOrderIsSaidAndTakenByAPress() throws Exception {
        gaffer.open("/productions/1/days/2");
        gaffer.seeText("11A waits");
        gaffer.fill("Say it", "4Z first");
        gaffer.press("Try");
        gaffer.seeText("“4Z” is no shot of this day: it has 11A, 11B, 4C, 4D, 4E.");
        gaffer.fill("Say it", "4E after lunch, 4C last");
        gaffer.press("Try");
        gaffer.see("[aria-label='Order that is tried']");
        gaffer.seeText("11A, 11B, 4E, 4D, 4C ends");
        assertThat(order(2)).containsExactly("11A", "11B", "4C", "4D", "4E");
        gaffer.press("Take this order");
        gaffer.gone("[aria-label='Order that is tried']");
        assertThat(order(2)).containsExactly("11A", "11B", "4E", "4D", "4C");
    }

    /** Story 4: from 6.5 m the light of a head fans by 7.0°; by way of a mirror, from 12 m, by 3.8°, which reads as parallel. */
    @Test
    void theStreakThatMovedIsMadeAgain() throws Exception {
        gaffer.open("/shots/7/plot");
        gaffer.press("Sun");
        gaffer.seeText("bearing 118°, 24° up");
        gaffer.press("Make it again…");
        gaffer.fill("head from end pane", "6.5");
        gaffer.press("straight");
        gaffer.seeText("7.0°");
        gaffer.seeText("shadows spread");
        gaffer.seeText("88 mm");
        gaffer.press("by a mirror");
        gaffer.seeText("mirror that fills the opening");
        gaffer.fill("mirror from end pane", "6");
        gaffer.press("by a mirror");
        gaffer.seeText("3.8°");
        gaffer.seeText("reads as parallel");
        gaffer.seeText("48 mm");
        gaffer.press("Try it on the plan");
        gaffer.gone("[role=dialog]");
        gaffer.press("Keep try A");
        gaffer.press("Keep it");
        gaffer.gone("[role=dialog]");
        JsonNode mirror = placed("mirror");
        assertThat(mirror.get("onSet").asBoolean()).isTrue();
        assertThat(mirror.at("/values/PLACE/value/outside").asBoolean()).isTrue();
        assertThat(mirror.at("/values/HEIGHT/value/heightM").asDouble()).isBetween(4.6, 4.8);
        assertThat(placed("sun").at("/values/HEIGHT/value/heightM").asDouble()).isEqualTo(1.5);
    }

    private JsonNode placed(String key) throws Exception {
        for (JsonNode one : person.get("/api/shots/7/plot").get("placements")) {
            if (one.at("/placement/key").asText().equals(key)) {
                return one;
            }
        }
        throw new AssertionError("No " + key);
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
