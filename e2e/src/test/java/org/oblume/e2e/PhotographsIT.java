package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** Places by photographs: landmarks and heads are tapped in the demo's drawn pictures of the ferry waiting room, and the places are kept. */
class PhotographsIT {

    private static final String SLATE_17A = "9";
    private static final int WIDE = 1600;
    private static final int HIGH = 1200;
    private static final double FOCAL_PX = 24.0 / 36 * WIDE;
    /** Place, height and bearing of the cameras that the pictures were drawn for. */
    private static final double[] BY_THE_DOOR = {0.5, 0.6, 1.6, 52};

    private static final double[] BY_THE_DESK = {10.4, 0.6, 1.6, 322};

    /** As they are in the demo's set. */
    private static final Map<String, double[]> LANDMARKS = Map.of(
            "window post east", new double[] {9.5, 7, 0.9},
            "desk corner", new double[] {9.2, 3.6, 1.1},
            "bench end A", new double[] {6.4, 3.8, 0.45},
            "bench end B", new double[] {6.4, 1.6, 0.45},
            "window post west", new double[] {1.5, 7, 2.4},
            "door post north", new double[] {0, 3.8, 2.1});

    private static final List<String> SEEN_FROM_THE_DOOR =
            List.of("window post east", "desk corner", "bench end A", "bench end B");
    private static final List<String> SEEN_FROM_THE_DESK =
            List.of("window post east", "desk corner", "bench end A", "window post west", "door post north");
    /** Where the key was drawn: 0.45 m from the record. */
    private static final double[] KEY = {7.6, 6.2, 2.4};

    private static RunningOblume oblume;
    private static Browser crew;

    @BeforeAll
    static void start() {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        crew = new Browser(oblume.address());
        crew.laptop();
    }

    @AfterAll
    static void stop() {
        crew.close();
        oblume.close();
    }

    @AfterEach
    void leave() {
        assertThat(crew.complaints()).isEmpty();
    }

    private static double[] seen(double[] camera, double[] at) {
        double turn = Math.toRadians(camera[3]);
        double deep = (at[0] - camera[0]) * Math.sin(turn) + (at[1] - camera[1]) * Math.cos(turn);
        double right = (at[0] - camera[0]) * Math.cos(turn) - (at[1] - camera[1]) * Math.sin(turn);
        return new double[] {WIDE / 2.0 + FOCAL_PX * right / deep, HIGH / 2.0 - FOCAL_PX * (at[2] - camera[2]) / deep};
    }

    private static void tap(String what, double[] at) {
        crew.until(
                "choose " + what, d -> d
                        .findElements(By.xpath("//aside//button[starts-with(normalize-space(), '%s')]".formatted(what)))
                        .stream()
                        .findFirst()
                        .map(b -> {
                            b.click();
                            return true;
                        })
                        .orElse(null));
        WebElement picture = crew.see(".picture");
        double scale = picture.getRect().width / (double) WIDE;
        crew.pressAt(picture, (at[0] - WIDE / 2.0) * scale, (at[1] - HIGH / 2.0) * scale);
        crew.see("[aria-label^='%s, tapped']".formatted(what));
    }

    @Test
    void twoPhotographsTellThatTheKeyStandsElsewhereAndItsPlaceIsKept() {
        String shot = SLATE_17A;
        crew.open("/shots/%s/survey".formatted(shot));
        crew.seeText("Tap four landmarks or more, so far 0.");
        SEEN_FROM_THE_DOOR.forEach(name -> tap(name, seen(BY_THE_DOOR, LANDMARKS.get(name))));
        crew.seeText("Taken from the place marked 1 on the plan");
        tap("Key", seen(BY_THE_DOOR, KEY));
        crew.pressCss("[aria-label=Photographs] button:nth-of-type(2)");
        crew.seeText("Tap four landmarks or more, so far 0.");
        SEEN_FROM_THE_DESK.forEach(name -> tap(name, seen(BY_THE_DESK, LANDMARKS.get(name))));
        tap("Key", seen(BY_THE_DESK, KEY));
        crew.seeText("Key stands more than three standard deviations from the record.");

        WebElement tapped = crew.see("[aria-label^='Key, tapped']");
        String before = tapped.getDomAttribute("style");
        tapped.sendKeys(Keys.ARROW_RIGHT);
        crew.until(
                "see it moved",
                d -> before.equals(crew.see("[aria-label^='Key, tapped']").getDomAttribute("style")) ? null : true);
        crew.press("Undo tap");
        crew.until(
                "see it back",
                d -> before.equals(crew.see("[aria-label^='Key, tapped']").getDomAttribute("style")) ? true : null);

        crew.press("Keep 1 place");
        crew.seeText("Keep no places");
        crew.open("/shots/%s/plot".formatted(shot));
        crew.pressCss("[data-key=key]");
        crew.seeText("by 2 photographs");
    }
}
