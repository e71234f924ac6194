package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.rig.RunningRig;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** The control network as the person at it works: patch, recall, read-back, against the simulated rig. */
class NetworkIT {

    private static final String RECALL = "/shots/3/recall";
    private static RunningRig rig;
    private static RunningOblume oblume;
    private static Browser crew;
    private static Path data;

    @BeforeAll
    static void start() throws IOException {
        rig = RunningRig.start(0, 0);
        data = RunningOblume.newData();
        oblume = RunningOblume.withRig(data, rig);
        crew = new Browser(oblume.address());
    }

    @AfterAll
    static void stop() {
        crew.close();
        oblume.close();
        rig.close();
    }

    @BeforeEach
    void hangTheRig() {
        crew.open("/shots/3/plot");
        crew.fetch(
                "await fetch('/api/output/stop', { method: 'POST' }); await fetch('/api/rig/units', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: '{\"shotId\":3}' })");
    }

    @AfterEach
    void nothingWasComplainedOf() {
        assertThat(crew.complaints()).isEmpty();
    }

    private static void armAndRecall() {
        crew.open(RECALL);
        crew.press("Arm output…");
        crew.see("[role=dialog]");
        crew.press("Arm output");
        crew.seeText("Armed, nothing is sent");
        crew.fill("fade, seconds", "0.2");
        crew.press("Recall 4C");
        crew.seeText("4C is live");
        crew.seeText("All 6 stand as recorded");
    }

    private static void goesWrong(String unit, String what) {
        crew.choose("unit", unit);
        crew.choose("what goes wrong", what);
        crew.press("Let it go wrong");
    }

    /** Story 12. */
    @Test
    void theTubeThatComesBackInAnotherModeIsNamedAndTheRecordIsSentAgain() {
        armAndRecall();
        goesWrong("Eel 1", "comes back in another mode");
        crew.seeText("Street sign is in mode 16-bit white, record 8-bit white.");
        crew.seeText("5 of 6 stand as recorded");
        crew.press("Send the record of Street sign again");
        crew.seeText("All 6 stand as recorded");
    }

    @Test
    void aKnobTurnedByHandIsTakenIntoTheRecord() {
        armAndRecall();
        goesWrong("Wren", "its knob is turned to 62 %");
        crew.seeText("Edge is at 62 %, record 22 %.");
        crew.press("Take the rig’s level of Edge");
        crew.seeText("All 6 stand as recorded");
        crew.seeText("4C was changed after it was recalled");
        crew.press("Undo");
        crew.seeText("Edge is at 62 %, record 22 %.");
    }

    @Test
    void whoWalksTakesWhatTheRigSays() {
        armAndRecall();
        goesWrong("Wren", "its knob is turned to 62 %");
        crew.seeText("Edge is at 62 %, record 22 %.");
        crew.open("/shots/3/walk");
        crew.pressCss("[aria-label^='Edge:']");
        crew.seeText("As the rig says: Edge is at 62 %, record 22 %.");
        crew.pressCss("[data-step=LEVEL] [data-rig]");
        crew.seeText("white dialled");
        crew.open(RECALL);
        crew.seeText("All 6 stand as recorded");
        crew.open("/shots/3/log");
        crew.press("Undo");
        crew.open(RECALL);
        crew.seeText("Edge is at 62 %, record 22 %.");
    }

    @Test
    void whatStandsBecomesTheShot() {
        armAndRecall();
        goesWrong("Wren", "its knob is turned to 62 %");
        goesWrong("Heron 2", "its knob is turned to 62 %");
        crew.seeText("Key is at 62 %, record 42 %.");
        crew.press("Snapshot: take all 2");
        crew.seeText("All 6 stand as recorded");
        crew.press("Undo");
        crew.seeText("4 of 6 stand as recorded");
    }

    @Test
    void fullStopEndsAllFromAnyView() {
        armAndRecall();
        for (String page : new String[] {"/", "/shots/3/rebuild", "/shots/3/set"}) {
            crew.open(page);
            crew.seeText("4C live");
        }
        crew.open("/shots/3/plot");
        crew.seeText("4C live");
        crew.see("h1");
        crew.type(".");
        crew.until(
                "see no output", d -> d.findElements(By.cssSelector(".output")).isEmpty() ? true : null);
        crew.open(RECALL);
        crew.seeText("Output is off");
        crew.seeText("Street sign hears nothing in universe 1: it stands at 0 %.");
        crew.seeText("Key hears nothing in universe 1: it stands at 42 %.");
    }

    @Test
    void anotherSourceAboveOursAndABadNetworkAreTold() {
        armAndRecall();
        crew.press("one above ours");
        crew.seeText("house desk sends universe 1 at priority 150, above ours of 100");
        crew.press("All quiet");
        crew.until("hear of nobody else", d -> crew.text().contains("house desk sends") ? null : true);
        crew.press("broken packets");
        crew.seeText("could not be read");
        crew.press("a flood");
        crew.seeText("came too fast and were dropped");
        crew.press("Cart node: take it off");
        crew.seeText("Key hears nothing in universe 1");
        crew.press("Cart node: back on");
        crew.seeText("All 6 stand as recorded");
    }

    @Test
    void aServerThatIsKilledWhileLiveSaysSoWhenItComesBack() {
        armAndRecall();
        oblume.kill();
        crew.seeText("4C was live when the line was lost");
        assertThat(rig.rig().state().units().stream()
                        .filter(u -> u.answer().unit().equals("Heron 2"))
                        .findFirst()
                        .orElseThrow()
                        .answer()
                        .dialled()
                        .levelPercent())
                .as("holds")
                .isGreaterThan(41);
        oblume = oblume.again(data, rig);
        crew.seeText("The server stopped while 4C was live on loopback");
        crew.seeText("Output is off");
        crew.seeText("Street sign hears nothing in universe 1: it stands at 0 %.");
    }

    @Test
    void effectsThatFlashWaitForAWarning() {
        crew.open("/shots/3/plot");
        crew.fetch(
                """
                const plot = await (await fetch('/api/shots/3/plot')).json()
                const sign = plot.placements.find((p) => p.placement.key === 'street-sign')
                await fetch('/api/shots/3/placements/street-sign/EFFECT', { method: 'PUT', headers: { 'Content-Type': 'application/json', 'If-Match': `"${sign.revisions.EFFECT ?? 0}"` },
                  body: JSON.stringify({ text: 'flash 4', reason: 'LOOK' }) })""");
        crew.open(RECALL);
        crew.seeText("4 flashes a second can trigger seizures");
        crew.press("Arm output…");
        crew.press("Arm output");
        crew.seeText("Armed, nothing is sent");
        crew.press("Recall 4C");
        crew.seeText("Say that they are warned, and recall again.");
        crew.press("Undo");
        crew.until(
                "see the caution gone",
                d -> d.findElement(By.tagName("body")).getText().contains("seizures:") ? null : true);
    }

    @Test
    void footprintsAreMovedOnTheStripAndConflictsMendThemselves() {
        crew.open("/shots/3/patch");
        crew.seeText("No conflict");
        WebElement edge = crew.see("g[aria-label^='Edge, slots 111']");
        crew.drag(edge, -40, 0);
        crew.seeText("1 conflict");
        crew.seeText("share slots of universe 1");
        crew.until("mend it", d -> d.findElements(By.cssSelector("section[aria-label=Conflicts] li button")).stream()
                .findFirst()
                .map(b -> {
                    b.click();
                    return true;
                })
                .orElse(null));
        crew.seeText("No conflict");
        crew.see("g[aria-label^='Edge, slots 1 to']").sendKeys(Keys.ARROW_RIGHT);
        crew.see("g[aria-label^='Edge, slots 2 to']").sendKeys(Keys.ENTER);
        for (String before : new String[] {"1 to", "10", "111"}) {
            crew.press("Undo");
            crew.see("g[aria-label^='Edge, slots %s']".formatted(before));
        }
    }

    @Test
    void aLightTakesTheNextFreeAddressOrOneThatIsTyped() {
        crew.open("/shots/3/patch");
        crew.press("Next free address for Edge");
        crew.see("g[aria-label^='Edge, slots 1 to 8']");
        crew.press("Undo");
        crew.see("g[aria-label^='Edge, slots 111']");
        WebElement typed = crew.see("input[aria-label='Universe and address of Edge']");
        typed.sendKeys(Keys.chord(Keys.CONTROL, "a"), "one", Keys.ENTER);
        crew.seeText("Type universe / address, such as 1 / 101.");
        typed.sendKeys(Keys.chord(Keys.CONTROL, "a"), "3 / 7", Keys.ENTER);
        crew.see("section[aria-label='Universe 3'] g[aria-label^='Edge, slots 7']");
        crew.press("Undo");
        crew.see("g[aria-label^='Edge, slots 111']");
    }

    @Test
    void addressesAreGivenOneAfterTheOtherOnceTheyWereLookedAt() {
        crew.open("/shots/3/patch");
        crew.seeText("No conflict");
        crew.fill("from universe", "2");
        crew.press("Show what would change");
        crew.seeText("2 / 1, 16-bit white");
        crew.press("Keep 6");
        crew.see("section[aria-label='Universe 2'] g[aria-label^='Ambience, slots 1 to 8']");
        crew.press("Undo");
        crew.see("section[aria-label='Universe 1'] g[aria-label^='Key, slots 101']");
    }
}
