package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Light that takes the long way, told before it is lit, beside renderings of the same places by brute force. */
class LightStoriesIT {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Path CASES = Path.of("..", "server", "src", "test", "resources", "cases", "light");
    /** What T1 needs at ISO 800 and 1/48 s, lux. */
    private static final double LUX_AT_T1 = 250 * 48.0 / 800;

    private static RunningOblume oblume;
    private static Browser gaffer;
    private static Person person;
    private static int number = 50;

    @BeforeAll
    static void start() throws IOException, InterruptedException {
        oblume = RunningOblume.withDemo(RunningOblume.newData());
        person = Person.ofTheDemo(oblume, "LEAD");
        gaffer = new Browser(oblume.address());
    }

    @AfterAll
    static void stop() {
        gaffer.close();
        oblume.close();
    }

    /** A scene that was rendered, imported, and what the rendering says of its mark. */
    private record Rendered(long shot, JsonNode mark) {

        static Rendered of(String name) throws IOException, InterruptedException {
            JsonNode file = JSON.readTree(CASES.resolve(name + ".json").toFile());
            person.post(
                    "/api/scenes/import?number=" + ++number,
                    file.at("/request/scene").toString());
            return new Rendered(person.shot(file.at("/request/shot").asText()), file.at("/answer/marks/0"));
        }

        double lit() {
            return Math.max(
                    mark.at("/left/lux").asDouble(), mark.at("/right/lux").asDouble());
        }
    }

    @Test
    void aBookLightSaysItsStopBeforeItIsLitAndASecondClothCostsWhatAClothCosts() throws Exception {
        Rendered book = Rendered.of("book-light");
        gaffer.open("/shots/%d/light".formatted(book.shot));
        double first = stops(figure("A meter at the lit cheek"));
        assertThat(first).isCloseTo(Math.log(book.lit() / LUX_AT_T1) / Math.log(2), within(1.0 / 3));
        String bust = gaffer.see("[aria-label^='The light on a head']").getAttribute("aria-label");
        assertThat(bust).contains("shadow");
        gaffer.open("/shots/%d/frame".formatted(book.shot));
        String softly = picture();

        gaffer.open("/shots/%d/plot".formatted(book.shot));
        double one = lit(book);
        say("silk another half silk");
        gaffer.press("Keep Enter");
        gaffer.gone("#say-echo .told");
        assertThat(Math.log(one / lit(book)) / Math.log(2))
                .as("a half silk costs 1.2 stops, and what it spreads beside the face")
                .isCloseTo(1.2, within(1.0 / 3));
        gaffer.open("/shots/%d/frame".formatted(book.shot));
        assertThat(picture()).as("it is darker in the picture, too").isNotEqualTo(softly);
        assertThat(gaffer.complaints()).isEmpty();
    }

    @Test
    void aWhiteRoomsBouncesAndTilesArePredictedDialledOutMeteredAndKept() throws Exception {
        Rendered bath = Rendered.of("ceiling-bath");
        gaffer.open("/shots/%d/light".formatted(bath.shot));
        assertThat(lux(figure("Light there"))).isCloseTo(bath.lit(), within(bath.lit() / 8));

        Rendered tiles = Rendered.of("tinted-tiles");
        gaffer.open("/shots/%d/light".formatted(tiles.shot));
        double tint = tint(figure("Tint, lit"));
        assertThat(tint).isCloseTo(tiles.mark.at("/right/duv").asDouble(), within(0.003));
        assertThat(1e6 / Double.parseDouble(figure("White, lit").replace(" K", "")))
                .isCloseTo(1e6 / tiles.mark.at("/right/kelvin").asDouble(), within(10.0));

        gaffer.open("/shots/%d/plot".formatted(tiles.shot));
        say("key tint -0.003");
        gaffer.press("Keep Enter");
        gaffer.gone("#say-echo .told");
        gaffer.open("/shots/%d/light".formatted(tiles.shot));
        assertThat(tint(figure("Tint, lit"))).isCloseTo(tint - 0.003, within(0.001));

        gaffer.open("/shots/%d/meter".formatted(tiles.shot));
        gaffer.see("input[aria-label=Reading]");
        gaffer.fill("Reading", "Key alone 500 lux, 4400 K");
        gaffer.see("input[aria-label=Reading]").sendKeys(Keys.ENTER);
        gaffer.until("see it kept", d -> gaffer.texts("table.log tbody tr").size() == 1 ? true : null);
        JsonNode key =
                person.get("/api/shots/%d/readings".formatted(tiles.shot)).at("/lights/0");
        assertThat(key.get("kStops").asDouble()).isCloseTo(0, within(0.35));
        assertThat(lux(key.at("/predicted/metric").asText()))
                .as("what was read is what is predicted")
                .isCloseTo(500, within(1.0));
        assertThat(key.get("kelvin").asDouble()).isCloseTo(4400, within(2.0));
        assertThat(gaffer.complaints()).isEmpty();
    }

    @Test
    void aGridOverHalfOfThePanelTakesHalfOfItsSpillOffTheWall() throws Exception {
        Rendered panel = Rendered.of("grid-40-panel-near");
        assertThat(lit(panel)).isCloseTo(panel.lit(), within(panel.lit() / 8));
        gaffer.open("/shots/%d/plot".formatted(panel.shot));
        say("key 3 m");
        gaffer.press("Keep Enter");
        gaffer.gone("#say-echo .told");
        JsonNode whole = light(panel);
        gaffer.pressCss("[data-key=key]");
        gaffer.press("Grid 40°");
        gaffer.see("[data-attribute=MODIFIERS] select");
        gaffer.fetch(
                "const s = document.querySelector('[data-attribute=MODIFIERS] select'); s.value = 'LEFT'; s.dispatchEvent(new Event('change'))");
        gaffer.seeText("Grid 40°, left half");
        JsonNode half = light(panel);
        gaffer.press("Take off");
        gaffer.seeText("nothing: bare lamp");
        JsonNode bare = light(panel);

        double taken = bare.at("/background/lux").asDouble()
                - whole.at("/background/lux").asDouble();
        assertThat(taken).isPositive();
        assertThat(bare.at("/background/lux").asDouble()
                        - half.at("/background/lux").asDouble())
                .isCloseTo(taken / 2, within(taken * 0.15));
        assertThat(Math.log(bare.at("/lit/lux").asDouble() / half.at("/lit/lux").asDouble()) / Math.log(2))
                .as("the grid's own 0.6 stop on half of it is a quarter, and a little for the rim of the panel")
                .isCloseTo(0.27, within(0.08));
        assertThat(gaffer.complaints()).isEmpty();
    }

    /** What lies on a point of the floor, on a wall and in the air is told by touching it, and follows what is tried. */
    @Test
    void anyPlaceThatIsTouchedTellsItsLight() throws Exception {
        long shot = person.shot("4A");
        gaffer.open("/shots/%d/plot".formatted(shot));
        gaffer.press("Light at a point…");
        gaffer.see("[aria-label='Where the light lands']");
        put("right", "3.9 m");
        put("up", "2.0 m");
        put("high", "0 m");
        gaffer.seeText("On the floor");
        JsonNode there = person.post(
                "/api/shots/%d/light/at".formatted(shot),
                """
                {"xM":3.9,"yM":2.0,"heightM":0,"withinM":0,"changes":[],"holds":[],"out":[]}""");
        gaffer.seeText(there.at("/lux/metric").asText());
        gaffer.seeText(there.at("/from/0/name").asText());
        put("high", "1.5 m");
        gaffer.seeText("In the air, turned to the lens");
        gaffer.press("Close where the light lands");
        gaffer.gone("[aria-label='Where the light lands']");
        assertThat(gaffer.complaints()).isEmpty();
    }

    /** The frame is seen before it is lit: what is touched in it tells its light, and what is taken out goes dark in it. */
    @Test
    void thePredictedPictureTellsItsLightWhereItIsTouched() throws Exception {
        gaffer.open("/shots/%d/frame".formatted(person.shot("4A")));
        String lit = picture();
        assertThat(gaffer.texts(".isostops text")).contains("0", "−2");
        assertThat(points()).startsWith("1 lit cheek", "2 shadow cheek", "3 background, wall");
        assertThat(gaffer.text("ol.points li:first-child .figure")).contains("stops", "lux", "50 %");

        gaffer.pressAt(gaffer.see(".stage .picture"), 250, 180);
        gaffer.until("see a point on the bench", d -> points().contains("4 workbench") ? true : null);
        String bench = gaffer.text("ol.points li:last-child .figure");
        assertThat(gaffer.text("[aria-label='Points of the picture'] [aria-pressed=true]"))
                .startsWith("4");
        gaffer.pressCss("[data-source=key] button:last-child");
        gaffer.until(
                "see the bench without the key",
                d -> gaffer.text("ol.points li:last-child .figure").equals(bench) ? null : true);
        assertThat(picture()).isNotEqualTo(lit);
        gaffer.press("All on");

        gaffer.script("document.querySelector('.stage button').focus()");
        gaffer.press(Keys.ARROW_UP);
        gaffer.press(Keys.ARROW_LEFT);
        gaffer.press(Keys.ENTER);
        gaffer.until("see a fifth point", d -> points().size() == 5 ? true : null);
        gaffer.pressCss("[aria-label^='Let go of point 5']");
        gaffer.until("see it go", d -> points().size() == 4 ? true : null);
        gaffer.press("thirds");
        gaffer.until(
                "see lines of thirds",
                d -> gaffer.texts(".isostops text").stream().anyMatch(t -> t.contains("⅓")) ? true : null);
        assertThat(gaffer.complaints()).isEmpty();
    }

    /** The whole picture, once it is there. */
    private static String picture() {
        return gaffer.until("see the whole picture", d -> {
            Object whole = gaffer.script(
                    "const i = document.querySelector('.stage img:not(.coarse)'); return document.querySelector('progress') ? null : i?.src");
            return whole == null ? null : whole.toString();
        });
    }

    private static List<String> points() {
        return gaffer.texts("ol.points .name");
    }

    private static void put(String field, String figure) {
        gaffer.fill(field, figure);
        gaffer.press(Keys.ENTER);
    }

    private static void say(String line) {
        gaffer.see("#say-it").sendKeys(Keys.chord(Keys.CONTROL, "a"), line);
    }

    private static JsonNode light(Rendered rendered) throws IOException, InterruptedException {
        return person.post("/api/shots/%d/light".formatted(rendered.shot), "{\"changes\":[],\"holds\":[],\"out\":[]}")
                .at("/light/marks/0");
    }

    private static double lit(Rendered rendered) throws IOException, InterruptedException {
        return light(rendered).at("/lit/lux").asDouble();
    }

    private static String figure(String row) {
        return gaffer.until("see “%s”".formatted(row), d -> gaffer.texts(".figures tr").stream()
                .filter(t -> t.startsWith(row))
                .map(t -> t.substring(row.length()).replaceAll("\\s+", " ").strip())
                .filter(t -> !t.isEmpty())
                .findFirst()
                .orElse(null));
    }

    private static double lux(String printed) {
        return Double.parseDouble(printed.replaceAll(".*?([\\d.]+) lux.*", "$1"));
    }

    private static double tint(String printed) {
        return Double.parseDouble(printed.replace('−', '-'));
    }

    /** Stops above T1 of a label, whose thirds are drawn as a fraction. */
    private static double stops(String label) {
        Matcher parts = Pattern.compile("T([\\d.]+?)(?: ?([12])[⁄/]3)?").matcher(label);
        assertThat(parts.matches()).as(label).isTrue();
        double thirds = parts.group(2) == null ? 0 : Double.parseDouble(parts.group(2));
        return Math.rint(2 * Math.log(Double.parseDouble(parts.group(1))) / Math.log(2)) + thirds / 3;
    }
}
