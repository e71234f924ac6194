package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
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

    private static final double[] BY_THE_WINDOW = {10.3, 5.6, 1.7, 256};
    private static final List<double[]> CAMERAS = List.of(BY_THE_DOOR, BY_THE_DESK, BY_THE_WINDOW);

    /** As they are in the demo's set. */
    private static final Map<String, double[]> LANDMARKS = Map.of(
            "window post east", new double[] {9.5, 7, 0.9},
            "desk corner", new double[] {9.2, 3.6, 1.1},
            "bench end A", new double[] {6.4, 3.8, 0.45},
            "bench end B", new double[] {6.4, 1.6, 0.45},
            "window post west", new double[] {1.5, 7, 2.4},
            "door post north", new double[] {0, 3.8, 2.1},
            "door post south", new double[] {0, 2.6, 2.1});

    /** Where things were drawn: the key 0.45 m from the record. */
    private static final Map<String, double[]> THINGS = Map.of(
            "Passenger", new double[] {5.2, 4.6, 1.2},
            "Camera", new double[] {8.6, 1.6, 1.3},
            "Ceiling tubes", new double[] {4.4, 5.9, 2.95},
            "Key", new double[] {7.6, 6.2, 2.4},
            "Fill", new double[] {1.75, 3.9, 1.9},
            "Desk lamp", new double[] {9.6, 2.4, 1.5});

    private static RunningOblume oblume;
    private static Browser crew;

    @BeforeAll
    static void start() {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        crew = new Browser(oblume.address());
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

    private static boolean isInside(double[] camera, double[] at) {
        double turn = Math.toRadians(camera[3]);
        double deep = (at[0] - camera[0]) * Math.sin(turn) + (at[1] - camera[1]) * Math.cos(turn);
        double[] seen = seen(camera, at);
        return deep > 0 && seen[0] > 0 && seen[0] < WIDE && seen[1] > 0 && seen[1] < HIGH;
    }

    private static void choose(String what) {
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
    }

    private static void tapAt(double[] at) {
        WebElement picture = crew.see(".picture");
        double scale = picture.getRect().width / (double) WIDE;
        crew.pressAt(picture, (at[0] - WIDE / 2.0) * scale, (at[1] - HIGH / 2.0) * scale);
    }

    private static void tap(String what, double[] at) {
        choose(what);
        tapAt(at);
        crew.see("[aria-label^='%s, tapped']".formatted(what));
    }

    /** @return how many were tapped */
    private static int tapAll(double[] camera, Map<String, double[]> all) {
        int taps = 0;
        for (Map.Entry<String, double[]> one : all.entrySet()) {
            if (isInside(camera, one.getValue())) {
                tap(one.getKey(), seen(camera, one.getValue()));
                taps++;
            }
        }
        return taps;
    }

    private static void photograph(int number) {
        crew.pressCss("[aria-label='Which photograph'] button:nth-of-type(%d)".formatted(number));
        crew.see("[aria-label='Which photograph'] button:nth-of-type(%d)[aria-pressed=true]".formatted(number));
    }

    private static void openWithNothingTapped() {
        crew.open("/shots/%s/survey".formatted(SLATE_17A));
        crew.seeText("By photographs");
        crew.fetch(
                """
                const survey = await (await fetch('/api/shots/9/survey')).json();
                for (const p of survey.photos) await fetch(`/api/shots/9/survey/photos/${p.id}`, { method: 'PUT',
                  headers: { 'Content-Type': 'application/json', 'If-Match': `"${p.version}"` }, body: JSON.stringify({ taps: [] }) });
                return ''""");
        crew.open("/shots/%s/survey".formatted(SLATE_17A));
        crew.seeText("Tap four landmarks or more, so far 0.");
    }

    @Test
    void twoPhotographsTellThatTheKeyStandsElsewhereAndWhichWayItPoints() {
        crew.laptop();
        openWithNothingTapped();
        tapAll(BY_THE_DOOR, LANDMARKS);
        crew.seeText("Taken from the place marked 1 on the plan");
        tap("Key", seen(BY_THE_DOOR, THINGS.get("Key")));
        double[] spot = {6.2, 4.4, 1.0};
        crew.press("Tap what Key points at");
        tapAt(seen(BY_THE_DOOR, spot));
        photograph(2);
        tapAll(BY_THE_DESK, LANDMARKS);
        tap("Key", seen(BY_THE_DESK, THINGS.get("Key")));
        crew.press("Tap what Key points at");
        tapAt(seen(BY_THE_DESK, spot));
        crew.seeText("from the record, more than three standard deviations.");
        crew.seeText("Key points another way than the record says.");

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

        crew.press("Keep 1 place and 1 aim");
        crew.seeText("Keep no places");
        crew.open("/shots/%s/plot".formatted(SLATE_17A));
        crew.pressCss("[data-key=key]");
        crew.seeText("by 2 photographs");
    }

    /** A person's part of it is the taps: at five seconds each they have to end within four minutes. */
    @Test
    void onAPhoneSixThingsOfThreePicturesArePlacedWithinTenCentimetres() {
        crew.phone();
        openWithNothingTapped();
        int taps = 0;
        for (int i = 0; i < CAMERAS.size(); i++) {
            photograph(i + 1);
            taps += tapAll(CAMERAS.get(i), LANDMARKS) + tapAll(CAMERAS.get(i), THINGS);
        }
        assertThat(taps).isLessThan(4 * 60 / 5);
        THINGS.forEach((name, at) -> {
            String told = String.valueOf(crew.fetch(
                    """
                    const survey = await (await fetch('/api/shots/9/survey')).json();
                    const { at, within } = survey.things.find((t) => t.name === '%s').found;
                    return [at.xM, at.yM, parseFloat(within.metric) / 1000].join(' ')"""
                            .formatted(name)));
            String[] figures = told.split(" ");
            double off = Math.hypot(Double.parseDouble(figures[0]) - at[0], Double.parseDouble(figures[1]) - at[1]);
            assertThat(off).as(name).isLessThan(0.1).isLessThan(2 * Double.parseDouble(figures[2]));
        });
    }

    /** One photograph and the heights that are recorded do for a check; without a line the taps wait. */
    @Test
    void aCheckBeforeATakeTellsWhatWasMovedAndItsTapsWaitForALine() {
        crew.laptop();
        openWithNothingTapped();
        crew.press("New check");
        crew.seeText("A check needs one photograph of what stands now");
        crew.upload(
                "input[type=file]",
                Path.of("../server/src/main/resources/demo/photographs/17A-3.jpg")
                        .toAbsolutePath()
                        .normalize());
        crew.seeText("Tap four landmarks or more, so far 0.");
        tapAll(BY_THE_WINDOW, LANDMARKS);
        crew.seeText("Taken from the place marked 1 on the plan");
        tap("Ceiling tubes", seen(BY_THE_WINDOW, THINGS.get("Ceiling tubes")));
        crew.seeText("too poorly known to be sure: Ceiling tubes.");
        crew.network(false);
        crew.seeText("no line");
        tap("Ceiling tubes", seen(BY_THE_WINDOW, new double[] {4.4, 5.2, 2.95}));
        crew.seeText("What you tapped waits on this device");
        crew.network(true);
        crew.seeText("Ceiling tubes stands");
        crew.choose("Photographs of", "the record (3)");
        crew.seeText("Tap four landmarks or more, so far 0.");
    }
}
