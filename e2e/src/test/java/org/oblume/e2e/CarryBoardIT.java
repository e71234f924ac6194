package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** The carry board of the demo scene: read, typed into, pasted over, compared, and what to do between two shots. */
class CarryBoardIT {

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
        assertThat(crew.complaints()).isEmpty();
        crew.close();
        grip.close();
        oblume.close();
    }

    @Test
    void whatMovedWhenAndWhyIsReadAtAGlance() {
        crew.open("/shots/3/carry");
        assertThat(cell(crew, "Key in 4C")).contains("42%", "match");
        assertThat(cell(crew, "Key in 4D")).contains("66%", "cheat");
        assertThat(cell(crew, "Edge in 4D")).contains("off", "fix");
        assertThat(crew.see("[aria-label='Bench lamp in 4C: carries from 4B']").getText())
                .isEmpty();
        assertThat(crew.text("footer h2")).isEqualTo("Key in 4C");
        assertThat(crew.text("footer")).contains("0.51 m closer", "58 to 42 %", "The frame came in; ratio held.");
        check("cheats only");
        assertThat(crew.texts("[role=rowheader] b")).containsExactly("Key");
        check("cheats only");
        crew.choose("Department", "grip");
        assertThat(crew.texts("[role=rowheader] b")).containsExactly("Negative fill", "Window net");
        crew.choose("Department", "every department");
    }

    @Test
    void aCellIsTypedOverWithTheKeysAloneAndCarriesToTheNextShot() {
        crew.open("/shots/5/carry");
        crew.see("[aria-label^='Key in 4E']");
        crew.type("44% 4300");
        crew.press(Keys.ENTER);
        crew.see("[aria-label='Key in 4E: 44% 4300K']");
        crew.press("Undo");
        crew.see("[aria-label='Key in 4E: 50%']");
        crew.press("Redo");
        crew.see("[aria-label='Key in 4E: 44% 4300K']");
        crew.press("Untie");
        crew.see("[aria-label='Key in 4E: carries from 4D']");
        crew.press("Undo");
        crew.see("[aria-label='Key in 4E: 44% 4300K']");
    }

    @Test
    void whatIsNotUnderstoodStaysAsItWasTypedAndWhatIsLockedIsNotTypedOver() {
        crew.open("/shots/6/carry");
        crew.see("[aria-label^='Key in 4F']");
        crew.type("flurble");
        crew.press(Keys.ENTER);
        crew.seeText("Key in 4F: “flurble” is not understood for Key.");
        assertThat(crew.see("input.typing").getDomProperty("value")).isEqualTo("flurble");
        crew.press(Keys.ESCAPE);
        crew.press("Leave it");
        crew.open("/shots/2/carry");
        crew.see("[aria-label^='Key in 4B']");
        crew.type("10%");
        assertThat(crew.texts("input.typing")).isEmpty();
        assertThat(crew.text("footer")).contains("shot, and locked");
    }

    @Test
    void anotherPersonsEditAppearsOnTheBoardByItself() {
        crew.open("/shots/4/carry");
        grip.open("/shots/4/plot");
        crew.seeText("also here");
        grip.pressCss("[data-key=ambience]");
        grip.type("LEVEL", "11");
        crew.see("[aria-label='Ambience in 4D: 11%']");
        assertThat(crew.text("header")).contains("key grip");
    }

    @Test
    void theGapBetweenTwoShotsOpensAndSaysWhatToDoWhichIsTickedOffOnAPhone() {
        crew.open("/shots/3/carry");
        crew.press("What to do from 4B to 4C");
        crew.seeText("4B to 4C");
        assertThat(crew.text("aside"))
                .contains(
                        "Electric",
                        "Grip",
                        "Control",
                        "Key to 2.12 m from window post, 1.47 m from door post",
                        "Recall 4C:");
        grip.phone();
        grip.open("/moves/shot-2/shot-3");
        grip.seeText("0 of");
        grip.pressCss(".step input");
        grip.seeText("1 of");
        crew.until("see it ticked on the board", d -> crew.text("aside").contains("done by key grip") ? true : null);
        assertThat((Boolean) grip.script("return document.documentElement.scrollWidth <= innerWidth"))
                .isTrue();
        grip.laptop();
    }

    @Test
    void twoShotsAreComparedInWordsOnThePlanAndAsRoses() {
        crew.open("/compare/shot-2/shot-3");
        crew.seeText("values are another in 4C than in 4B.");
        assertThat(crew.text("[aria-label='In words']")).contains("Camera", "50 to 85 mm", "0.51 m closer");
        assertThat(crew.texts(".plan .arrow")).isNotEmpty();
        crew.see(".rose.ghost");
        crew.choose("To", "22A Wide down the slip");
        crew.seeText("The two stand in different sets");
        crew.seeText("Moon");
    }

    @Test
    void aNameIsShownAsItIsWrittenAndNothingInItRuns() {
        assertThat(
                        crew.fetch(
                                """
                const name = '<img src=x onerror="window.hit=1">';
                const plot = await (await fetch('/api/shots/7/plot')).json();
                const { placement, version } = plot.placements.find(p => p.placement.key === 'edge');
                return (await fetch('/api/shots/7/placements/edge', { method: 'PUT', headers: { 'Content-Type': 'application/json', 'If-Match': String(version) },
                  body: JSON.stringify({ name, role: placement.role }) })).status"""))
                .isEqualTo(200L);
        for (String view : new String[] {"carry", "plot", "light", "rebuild", "log"}) {
            crew.open("/shots/7/" + view);
            crew.seeText(view.equals("log") ? "Takes" : "<img src=x onerror");
        }
        assertThat(crew.script("return window.hit")).isNull();
    }

    @Test
    void aTakeThatIsSentTwiceIsOneTake() {
        crew.open("/shots/8/log");
        crew.see("[aria-label='Takes'] form");
        crew.script(
                "const form = document.querySelector('[aria-label=Takes] form'); form.requestSubmit(); form.requestSubmit()");
        crew.seeText("Take 2");
        assertThat(crew.texts(".take")).hasSize(1);
        crew.press("Take 1, not circled");
        crew.see("[aria-label='Take 1, circled']");
        grip.open("/shots/8/log");
        grip.see("[aria-label='Take 1, circled']");
    }

    @Test
    void aShotIsInsertedAndRebasedAfterSeeingWhatWouldChange() {
        crew.open("/shots/11/carry");
        crew.see("[aria-label^='Key in 22A']");
        crew.press("22A…");
        crew.press("Insert a shot after 22A…");
        crew.fill("Slate", "22AA");
        crew.press("Make shot");
        crew.gone("[role=dialog]");
        crew.until(
                "see it between",
                d -> crew.texts("[role=columnheader] .slate-name").equals(java.util.List.of("22A", "22AA", "22B"))
                        ? true
                        : null);
        crew.seeText("from 22AA");
        crew.pressCss("[data-slate='22B']");
        crew.press("22B…");
        crew.press("Base 22B on another shot…");
        crew.seeText("nothing would change");
        crew.pressCss("[role=dialog] button[aria-haspopup=listbox]");
        crew.press("nothing: only its own knots hold");
        crew.seeText("would change");
        assertThat(crew.text("[role=dialog]")).contains("Moon", "goes out");
        crew.press("Cancel");
    }

    /** Story 6: one room, three times of day. */
    @Test
    void threeLooksOfOneRoomAreSavedComparedAndMadeOfAShotAsKnots() {
        crew.open("/shots/9/carry");
        crew.see("[aria-label^='Key in 17A']");
        crew.press("17A…");
        crew.press("Insert a shot after 17A…");
        crew.fill("Slate", "17X");
        crew.press("Make shot");
        crew.gone("[role=dialog]");
        crew.pressCss("[data-slate='17X']");
        crew.until("be in 17X", d -> crew.text("header h1").equals("17X") ? true : null);
        look("Key", "70% 5600", "Day");
        look("Key", "40% 4000", "Dusk");
        look("Key", "off", "Night");
        crew.until(
                "see three looks beside the shots",
                d -> crew.texts("[role=columnheader].look .slate-name")
                                .equals(java.util.List.of("Day", "Dusk", "Night"))
                        ? true
                        : null);
        String row = crew.texts("[role=row]").stream()
                .filter(r -> r.startsWith("Key"))
                .findFirst()
                .orElseThrow();
        assertThat(row).contains("70 % 5600 K", "40 % 4000 K", "off");

        grip.open("/shots/9/carry");
        grip.until(
                "see the looks that somebody else saved",
                d -> grip.texts("[role=columnheader].look").size() == 3 ? true : null);

        crew.pressCss("[data-slate='17B']");
        crew.until("be in 17B", d -> crew.text("header h1").equals("17B") ? true : null);
        crew.press("Looks");
        crew.pressCss("[role=menuitem]:nth-of-type(2)");
        crew.seeText("Making 17B like it ties these knots:");
        assertThat(crew.text("[role=dialog]")).contains("Key level", "to 40 %").doesNotContain("lens");
        crew.press("Make 17B like it");
        crew.gone("[role=dialog]");
        crew.until(
                "see the knots",
                d -> cell(crew, "Key in 17B").contains("40%")
                                && cell(crew, "Key in 17B").contains("look")
                        ? true
                        : null);
        grip.until("see them too", d -> cell(grip, "Key in 17B").contains("40%") ? true : null);
    }

    private static void look(String thing, String text, String name) {
        crew.see("[aria-label^='" + thing + " in 17X']").click();
        crew.type(text);
        crew.press(Keys.ENTER);
        crew.gone("input.typing");
        crew.until(
                "see it kept",
                d -> cell(crew, thing + " in 17X")
                                        .replace(" ", "")
                                        .startsWith(text.substring(0, 3).strip())
                                || text.equals("off")
                        ? true
                        : null);
        crew.press("Looks");
        crew.press("Save 17X as a look…");
        crew.fill("Name of the look", name);
        crew.press("Save look");
        crew.gone("[role=dialog]");
    }

    private static String cell(Browser browser, String label) {
        WebElement cell = browser.see("[role=gridcell][aria-label^='" + label + "']");
        return cell.findElements(By.cssSelector(".why, .said")).stream()
                .map(WebElement::getText)
                .reduce("", (a, b) -> b.contains("%") ? b + " " + a : a + " " + b)
                .strip();
    }

    private static void check(String label) {
        crew.until(
                "press " + label,
                d -> d.findElements(By.xpath("//label[normalize-space()='" + label + "']/input")).stream()
                        .findFirst()
                        .map(e -> {
                            e.click();
                            return true;
                        })
                        .orElse(null));
    }
}
