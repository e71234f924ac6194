package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** The main job, once through: record the close shot from the wide, rebuild the reverse from the sheet, come back another day. */
class CloseShotStoryIT {

    @Test
    void aCloseShotIsRecordedFromTheWideAndTheReverseRebuiltFromIt() throws IOException {
        Path data = RunningOblume.newData();
        Path exported = Files.createTempFile("scene", ".oblume.json");
        Object reverse;
        try (RunningOblume oblume = RunningOblume.withDemo(data)) {
            try (Browser crew = new Browser(oblume.address())) {
                Demo.openTheWideForChanges(crew);
                theBookLeadsToTheWide(crew);
                theHeadIsMovedTurnedAndTypedOver(crew);
                theCloseShotIsMadeFromTheWide(crew);
                theKeyIsChangedForTheCloseShot(crew);
                theReverseCarriesItAndTheWideIsAsItWas(crew);
                theReverseIsRebuiltOnAPhone(crew);
                reverse = crew.fetch(
                        "return JSON.stringify((await (await fetch('/api/shots/' + location.pathname.split('/')[2] + '/plot')).json()).placements)");
                Files.writeString(
                        exported, (String) crew.fetch("return await (await fetch('/api/scenes/1/export')).text()"));
                assertThat(crew.complaints()).isEmpty();
            }
            oblume.stop();
        }
        try (RunningOblume again = RunningOblume.withDemo(data);
                Browser crew = new Browser(again.address())) {
            allIsThereAfterARestart(crew);
        }
        try (RunningOblume elsewhere = RunningOblume.empty(RunningOblume.newData());
                Browser crew = new Browser(elsewhere.address())) {
            theSceneIsImportedIntoAnEmptyBook(crew, exported);
            Object there = crew.fetch(
                    "return JSON.stringify((await (await fetch('/api/shots/' + location.pathname.split('/')[2] + '/plot')).json()).placements)");
            assertThat(there).isEqualTo(reverse);
        }
    }

    private static void theBookLeadsToTheWide(Browser crew) {
        crew.open("/");
        crew.seeText("Saltmarsh Line");
        crew.seeText("INT. RADIO REPAIR SHOP, NIGHT");
        crew.pressCss("main a.shot");
        crew.see("[data-key=key]");
        assertThat(crew.texts(".placed")).hasSize(9);
        assertThat(crew.text("header h1")).isEqualTo("4A");
        crew.seeText("Negative fill");
        crew.seeText("window post");
    }

    private static void theHeadIsMovedTurnedAndTypedOver(Browser crew) {
        crew.pressCss("[data-key=key]");
        crew.reads("PLACE", "5.68 m right, 4.81 m up");
        crew.seeText("2.35");

        crew.drag(crew.see("[data-key=key]"), -40, 40);
        crew.until("see the key moved", d -> crew.text("[data-attribute=PLACE]").contains("5.68") ? null : true);
        crew.press("Undo");
        crew.reads("PLACE", "5.68 m right, 4.81 m up");

        WebElement handle = crew.see("[data-handle=turn]");
        crew.drag(handle, 30, 10);
        crew.reads("AIM", "by bearing and tilt");
        crew.pressWithControl("z");
        crew.reads("AIM", "at Repairer");

        crew.see("[data-key=key]").sendKeys(Keys.ARROW_LEFT, Keys.ARROW_LEFT);
        crew.reads("PLACE", "5.58 m right");
        crew.press("Undo");
        crew.reads("PLACE", "5.68 m right");

        crew.type("HEIGHT", "6'11\"");
        crew.reads("HEIGHT", "2.11 m");
        crew.press("Undo");
        crew.reads("HEIGHT", "2.07 m");
    }

    private static void theCloseShotIsMadeFromTheWide(Browser crew) {
        crew.press("New shot from 4A");
        crew.fill("Slate", "4G");
        crew.fill("What it shows", "Close on the repairer at the bench");
        crew.press("Make shot");
        crew.until("be in 4G", d -> crew.text("header h1").equals("4G") ? true : null);
        crew.seeText("based on 4A");
    }

    private static void theKeyIsChangedForTheCloseShot(Browser crew) {
        crew.pressCss("[data-key=key]");
        crew.press("match");
        crew.fill("Note kept with the next change", "In for the close-up");
        crew.type("PLACE", "5.00, 3.95");
        crew.reads("PLACE", "5.00 m right, 3.95 m up");
        crew.type("LEVEL", "24");
        crew.reads("LEVEL", "24 %");
        crew.press("look");
        crew.type("CCT", "5200");
        crew.reads("CCT", "5200 K");
        crew.type("TINT", "0.002");
        crew.reads("TINT", "+0.002 green");

        WebElement stock = crew.see("[aria-label='Add a filter or a cloth from the stock']");
        stock.sendKeys("eighth cto");
        crew.see("[role=option]");
        stock.sendKeys(Keys.ENTER);
        crew.reads("MODIFIERS", "Eighth CTO");
        crew.reads("MODIFIERS", "+74");

        crew.fill("address", "141");
        crew.see("[data-attribute=PATCH] input").sendKeys(Keys.ENTER);
        crew.until(
                "see the new address kept",
                d -> crew.fetch(
                                        "return (await (await fetch('/api/shots/' + location.pathname.split('/')[2] + '/plot')).json())"
                                                + ".placements.find(p => p.placement.key == 'key').values.PATCH.say.metric")
                                .equals("1 / 141, 16-bit white")
                        ? true
                        : null);

        crew.press("cheat");
        crew.pressCss("[data-key=edge]");
        crew.type("HEIGHT", "2.4");
        crew.reads("HEIGHT", "2.40 m");
        crew.press("Back to 4G");
        crew.seeText("Changed from 4A");
        crew.seeText("In for the close-up");
        crew.seeText("cheat, gaffer");
    }

    private static void theReverseCarriesItAndTheWideIsAsItWas(Browser crew) {
        crew.press("New shot from 4G");
        crew.fill("Slate", "4H");
        crew.fill("What it shows", "Reverse from the counter");
        crew.press("Make shot");
        crew.until("be in 4H", d -> crew.text("header h1").equals("4H") ? true : null);
        crew.seeText("Nothing changed from 4G yet");
        crew.pressCss("[data-key=key]");
        crew.reads("LEVEL", "24 %");
        crew.reads("PLACE", "5.00 m right, 3.95 m up");
        crew.reads("MODIFIERS", "Eighth CTO");

        crew.press(Keys.ESCAPE);
        crew.open("/shots/1/plot");
        crew.pressCss("[data-key=key]");
        crew.reads("LEVEL", "70 %");
        crew.reads("PLACE", "5.68 m right, 4.81 m up");
        assertThat(crew.text("[data-attribute=MODIFIERS]")).doesNotContain("Eighth CTO");
    }

    private static void theReverseIsRebuiltOnAPhone(Browser crew) {
        crew.phone();
        crew.press("Scenes and shots");
        crew.until("open 4H from the spine", d -> {
            d.findElements(org.openqa.selenium.By.cssSelector("nav.spine a.shot")).stream()
                    .filter(a -> a.getText().startsWith("4H"))
                    .findFirst()
                    .orElseThrow()
                    .click();
            return true;
        });
        crew.until("be in 4H", d -> crew.text("header h1").equals("4H") ? true : null);
        crew.press("Rebuild");
        String[] order = {
            "Repairer",
            "Camera",
            "Ambience",
            "Bench lamp",
            "Valve glow",
            "Key stand",
            "Negative fill stand",
            "Edge stand",
            "Street sign stand"
        };
        for (int i = 0; i < order.length; i++) {
            String title = order[i];
            crew.until("see step " + title, d -> crew.text("article h2").equals(title) ? true : null);
            assertThat(crew.text(".phone-head")).contains("step " + (i + 1) + " of 9");
            assertThat(crew.texts("[data-tape]")).hasSize(2);
            if (title.equals("Key stand")) {
                theKeysStepTellsAll(crew.text("article"));
            }
            assertThat((Boolean) crew.script("return document.documentElement.scrollWidth <= innerWidth"))
                    .isTrue();
            crew.press("Done");
        }
        crew.seeText("All 9 steps are done");
    }

    private static void theKeysStepTellsAll(String step) {
        String words = step.replaceAll("\\s+", " ");
        assertThat(words)
                .contains(
                        "from window post 2.16m",
                        "from door post 1.71m",
                        "height to lamp 2.07m",
                        "aim at Repairer, down 28°",
                        "221°",
                        "Walking A to B, the stand is on your right.",
                        "1 Quarter CTO",
                        "2 Muslin, unbleached",
                        "3 Eighth CTO",
                        "24%",
                        "5200K",
                        "+0.002 green",
                        "1 / 141, 16-bit white",
                        "Bag the high leg");
    }

    private static void allIsThereAfterARestart(Browser crew) {
        crew.open("/");
        crew.seeText("Reverse from the counter");
        long done = (Long)
                crew.fetch(
                        "const book = await (await fetch('/api/book')).json();"
                                + "const id = book.productions[0].scenes[0].shots.find(s => s.slate == '4H').id;"
                                + "return (await (await fetch('/api/shots/' + id + '/rebuild')).json()).steps.filter(s => s.done).length");
        assertThat(done).isEqualTo(9);
        crew.open("/shots/1/plot");
        crew.seeText("Reverse from the counter");
    }

    private static void theSceneIsImportedIntoAnEmptyBook(Browser crew, Path file) {
        crew.open("/");
        crew.seeText("The book is empty");
        crew.press("Import scene…");
        crew.see("[role=dialog]");
        crew.upload("input[type=file]", file);
        crew.press("Import");
        crew.seeText("INT. RADIO REPAIR SHOP, NIGHT");
        crew.until("open 4H", d -> {
            d.findElements(org.openqa.selenium.By.cssSelector("main a.shot")).stream()
                    .filter(a -> a.getText().contains("Reverse from the counter"))
                    .findFirst()
                    .orElseThrow()
                    .click();
            return true;
        });
        crew.see("[data-key=key]");
    }
}
