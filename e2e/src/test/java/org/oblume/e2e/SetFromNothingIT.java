package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** A set is drawn from nothing: walls, window, things in it, lights and marks. */
class SetFromNothingIT {

    private static final String PLAN =
            "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 400 300'><rect width='400' height='300' fill='none' stroke='black'/></svg>";
    private RunningOblume oblume;
    private Browser crew;

    @BeforeEach
    void start() {
        oblume = RunningOblume.empty(RunningOblume.newData());
        crew = new Browser(oblume.address());
        crew.open("/");
        crew.press("New production…");
        crew.fill("Name", "Night ferry");
        crew.press("Start production");
        crew.press("New scene…");
        crew.fill("Number", "1");
        crew.fill("Heading", "INT. BOATHOUSE, NIGHT");
        crew.fill("Location", "Boathouse");
        crew.press("Start scene");
        crew.until("be in 1A", d -> crew.text("header h1").equals("1A") ? true : null);
    }

    @AfterEach
    void stop() {
        crew.close();
        oblume.close();
    }

    @Test
    void wallsAWindowHeadsAndMarksAreDrawnAndLit(@TempDir Path folder) throws IOException {
        crew.press("Draw the set");
        crew.see("aside li button");
        crew.press("wall 1");
        crew.press("Take away");
        crew.fill("Walls, paced out", "7 right, 5 up, 7 left, close");
        crew.press("Put them");
        crew.until(
                "see the wall",
                d -> crew.see("textarea").getDomProperty("value").equals("0 0; 7 0; 7 5; 0 5; 0 0") ? true : null);
        crew.fill("high", "3");
        crew.press(Keys.TAB);

        crew.press("Window");
        WebElement stage = crew.see("svg[aria-label^='Plan to draw on']");
        clickOnWall(stage, "2 5");
        clickOnWall(stage, "4 5");
        crew.until("name the window", d -> crew.value("name").equals("window 1") ? true : null);
        crew.fill("name", "sea window" + Keys.TAB);
        crew.fill("sill", "1.0" + Keys.TAB);
        assertThat(crew.see("textarea").getDomProperty("value")).startsWith("2 5; 4 5");

        crew.press("All of the set");
        crew.upload("input[type=file]", Files.writeString(folder.resolve("plan.svg"), PLAN));
        crew.seeText("Click two points of the picture");
        clickOnWall(stage, "0 0");
        clickOnWall(stage, "4 0");
        crew.fill("Distance between both points", "7 m");
        crew.press("Scale the picture");
        crew.until(
                "see the picture to scale",
                d -> Math.abs(((Number)
                                                        crew.script(
                                                                "return document.querySelector('image.underlay').getBoundingClientRect().width"
                                                                        + " / document.querySelector('.set').ownerSVGElement.querySelector('.set > path[stroke-linejoin]').getBoundingClientRect().width"))
                                                .doubleValue()
                                        - 1)
                                < 0.06
                        ? true
                        : null);

        crew.press("Keep the set");
        crew.seeText("Kept.");
        crew.press("Back to 1A");
        crew.see(".ladder svg");
        crew.seeText("sea window");

        place("bicolour led spot 150", "Bicolour LED spot 150 W", "Key");
        place("person", "Person", "Visitor");
        crew.type("PLACE", "2.5, 3.5");
        crew.reads("PLACE", "2.50 m right, 3.50 m up");
        crew.see("#say-it").sendKeys("key 2.4 m aim at visitor 60%");
        crew.until(
                "hear it", d -> crew.text("#say-echo").replaceAll("\\s+", " ").contains("Key level") ? true : null);
        crew.press("Keep Enter");
        crew.until(
                "see the light on the visitor",
                d -> crew.text(".ladder").contains("At Visitor")
                                && crew.text(".ladder .facts").contains("meter")
                        ? true
                        : null);
        assertThat(crew.complaints()).isEmpty();
    }

    @Test
    void whatWasDrawnIsNotLostByGoingElsewhereAndABadPictureIsRefused(@TempDir Path folder) throws IOException {
        crew.press("Draw the set");
        crew.see("aside li button");
        crew.upload("input[type=file]", Files.writeString(folder.resolve("plan.png"), "not a picture"));
        crew.seeText("not a picture that can be read");
        crew.fill("Walls, paced out", "3 sideways");
        crew.press("Put them");
        crew.seeText("sideways");
        crew.fill("Walls, paced out", "3 right");
        crew.press("Put them");
        crew.until(
                "see it put", d -> crew.see("textarea").getDomProperty("value").equals("0 0; 3 0") ? true : null);
        crew.press("Back to 1A");
        crew.seeText("The set is not kept yet");
        crew.press("Go on drawing");
        crew.press("Undo");
        crew.press("Back to 1A");
        crew.see(".ladder svg");
    }

    /** Clicks a point of the plan, by the metres that the drawing's own lines stand at. */
    private void clickOnWall(WebElement stage, String metres) {
        crew.clickAt(
                stage,
                "const [x, y] = '" + metres + "'.split(' ').map(Number);"
                        + "const wall = document.querySelector('.set > path[stroke-linejoin]').getAttribute('d').match(/[\\d.-]+,[\\d.-]+/g).map(p => p.split(',').map(Number));"
                        + "const [x0, y0] = wall[0], scale = (wall[1][0] - x0) / 7;"
                        + "return [x0 + x * scale, y0 - y * scale]");
    }

    private void place(String typed, String what, String name) {
        crew.press("Place…");
        crew.fill("What", typed);
        crew.press(what);
        crew.fill("What the crew calls it here", name);
        crew.press("Place it");
        crew.until("see " + name, d -> crew.text("aside h2").equals(name) ? true : null);
    }
}
