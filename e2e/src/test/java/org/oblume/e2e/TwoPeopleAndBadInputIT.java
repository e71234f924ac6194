package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

class TwoPeopleAndBadInputIT {

    private static RunningOblume oblume;
    private static Browser crew;
    private static Browser grip;

    @BeforeAll
    static void start() {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        crew = new Browser(oblume.address());
        grip = new Browser(oblume.address());
        grip.goIn("crew");
    }

    @AfterAll
    static void stop() {
        crew.close();
        grip.close();
        oblume.close();
    }

    @BeforeEach
    void laptop() {
        crew.laptop();
    }

    private void openKeyOf(String shotId) {
        crew.open("/shots/" + shotId + "/plot");
        crew.pressCss("[data-key=key]");
    }

    /** The key grip's edit, made behind this page's back. */
    private static void someoneElse(String body) {
        Object status = grip.fetch(
                """
                const plot = await (await fetch('/api/shots/5/plot')).json();
                const key = plot.placements.find(p => p.placement.key === 'key');
                const answer = await fetch('/api/shots/5/placements/key/LEVEL', { method: 'PUT', body: '%s',
                  headers: { 'Content-Type': 'application/json', 'If-Match': String(key.revisions.LEVEL ?? 0) } });
                return answer.status"""
                        .formatted(body));
        assertThat(status).isEqualTo(200L);
    }

    @Test
    void ofTwoEditsBothAreShownAndOneIsChosen() {
        openKeyOf("5");
        crew.typesWhile("LEVEL", "44", () -> someoneElse("{\"text\":\"33\",\"reason\":\"LOOK\"}"));
        crew.seeText("Someone changed this meanwhile");
        assertThat(crew.text("[role=dialog]")).contains("33 %", "44", "key grip");
        crew.press("Take theirs");
        crew.reads("LEVEL", "33 %");

        crew.typesWhile("LEVEL", "46", () -> someoneElse("{\"text\":\"35\",\"reason\":\"LOOK\"}"));
        crew.press("Put mine on top");
        crew.reads("LEVEL", "46 %");
        crew.open("/shots/5/plot");
        crew.pressCss("[data-key=key]");
        crew.reads("LEVEL", "46 %");
    }

    @Test
    void aUniverseWithoutAnAddressIsRefusedBesideIt() {
        openKeyOf("5");
        crew.fill("address", String.valueOf(Keys.BACK_SPACE));
        crew.see("[data-attribute=PATCH] input").sendKeys(Keys.ENTER);
        crew.seeText("Universe 1 needs an address: give 1 to 512, or clear the universe.");
    }

    @Test
    void aHeadDroppedOutsideTheWallsAsksWhetherThatIsMeant() {
        crew.open("/shots/5/plot");
        crew.pressCss("[data-key=edge]");
        crew.type("PLACE", "2.0, 6.4");
        crew.seeText("Edge would stand 1.00 m outside the walls.");
        crew.see("[data-attribute=PLACE] input.edit").sendKeys(Keys.ESCAPE);
        crew.drag(crew.see("[data-key=edge]"), 0, -300);
        crew.seeText("outside the walls. Keep it inside");
        crew.press("It stands outside");
        crew.see("[aria-label='What is selected'] input[type=checkbox]:checked");
        crew.press("Undo");
        crew.reads("PLACE", "2.30 m right, 2.35 m up");
    }

    @Test
    void aShotThatOthersNeedIsNotDeletedAndNotBasedOnThem() {
        crew.open("/shots/1/plot");
        crew.pressCss("header .head");
        crew.press("Delete shot…");
        crew.press("Yes, delete 4A");
        crew.seeText("4A cannot be deleted: 4B is based on it. Base it on another shot first.");
        crew.pressCss("[role=dialog] button[aria-haspopup=listbox]");
        crew.press("4B Over the counter, he looks up");
        crew.press("Keep");
        crew.seeText("which would base it on itself");
        crew.press("Cancel");
    }

    @Test
    void aBrokenOrNewerFileIsRefusedAndTheDialogStays() throws IOException {
        crew.open("/");
        crew.press("Import scene…");
        crew.see("[role=dialog]");
        crew.upload("input[type=file]", file("{\"format\":\"oblume-scene\",\"version\":1,\"prod"));
        crew.press("Import");
        crew.seeText("The file is broken");
        crew.upload("input[type=file]", file("{\"format\":\"oblume-scene\",\"version\":10}"));
        crew.press("Import");
        crew.seeText("This file is version 10; this Oblume reads version 9.");
        crew.upload("input[type=file]", file("x".repeat(11 * 1024 * 1024)));
        crew.press("Import");
        crew.seeText("is larger than 10 MB");
        assertThat(crew.texts("main article")).hasSize(4);
    }

    @Test
    void aQuestionMarkListsTheKeysWhateverIsChosen() {
        crew.open("/shots/1/plot");
        crew.see(".placed");
        crew.type("?");
        crew.seeText("next shot, shot before");
        crew.press(Keys.ESCAPE);
        crew.gone("[role=dialog]");
    }

    @Test
    void aPageThatIsNotThereLeadsBack() {
        crew.open("/shots/9999/plot");
        crew.seeText("There is no such shot any more.");
        crew.press("To the book");
        crew.seeText("Saltmarsh Line");
    }

    private static Path file(String text) throws IOException {
        return Files.writeString(Files.createTempFile("scene", ".json"), text);
    }
}
