package org.oblume.server.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Side;
import org.oblume.core.geometry.TapeFix;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class PaperOverHttpTest {

    private static final Pattern TAPES = Pattern.compile(
            "A ([\\d.]+) m from ([\\w ]+)\\. B ([\\d.]+) m from ([\\w ]+)\\. On the (left|right), walking A to B\\. Height ([\\d.]+) m\\.");

    @Autowired
    private Api api;

    /** The sheet alone, and landmarks that can be found on the set: every stand comes back to where it was, to the centimetre. */
    @ParameterizedTest
    @ValueSource(strings = {"4A", "4C", "11A", "17A", "22A"})
    void thePrintedRebuildSheetAloneIsEnoughToPlaceTheHeads(String slate) throws IOException, InterruptedException {
        long shot = api.shot(slate);
        String printed = text("/api/shots/%d/paper/rebuild.pdf".formatted(shot)).replaceAll("\\s+", " ");
        JsonNode plot = api.get("/api/shots/%d/plot".formatted(shot)).body();
        Map<String, PlanPoint> landmarks = new HashMap<>();
        plot.at("/drawn/set/plan/landmarks")
                .forEach(l -> landmarks.put(
                        l.get("name").asText(),
                        PlanPoint.of(
                                l.at("/point/xM").asDouble(), l.at("/point/yM").asDouble())));
        int placed = 0;
        for (JsonNode thing : plot.get("placements")) {
            Matcher line = TAPES.matcher(printed.substring(Math.max(0, start(printed, thing))));
            if (thing.get("onSet").asBoolean() && thing.has("tapes") && line.find()) {
                PlanPoint found = TapeFix.of(
                                landmarks.get(line.group(2)),
                                landmarks.get(line.group(4)),
                                Double.parseDouble(line.group(1)),
                                Double.parseDouble(line.group(3)),
                                line.group(5).equals("left") ? Side.LEFT : Side.RIGHT,
                                0.01)
                        .point();
                PlanPoint recorded = PlanPoint.of(
                        thing.at("/values/PLACE/value/xM").asDouble(),
                        thing.at("/values/PLACE/value/yM").asDouble());
                assertThat(found.distanceM(recorded))
                        .as(thing.at("/placement/name").asText())
                        .isLessThan(0.03);
                assertThat(Double.parseDouble(line.group(6)))
                        .isCloseTo(thing.at("/values/HEIGHT/value/heightM").asDouble(), within(0.0051));
                placed++;
            }
        }
        assertThat(placed).isGreaterThanOrEqualTo(4);
    }

    @Test
    void thePlotCarriesWhatTheCameraIsToSeeWithItsLines() throws IOException, InterruptedException {
        String path = "/api/shots/%d/paper/plot.pdf".formatted(api.shot("4A"));
        assertThat(text(path).replaceAll("\\s+", " "))
                .contains("lines are of equal light, in stops from T2.8. A plain model: a meter decides.");
        try (PDDocument printed = Loader.loadPDF(api.file(path))) {
            long pictures = 0;
            for (PDPage page : printed.getPages()) {
                for (COSName name : page.getResources().getXObjectNames()) {
                    pictures += page.getResources().isImageXObject(name) ? 1 : 0;
                }
            }
            assertThat(pictures).isEqualTo(1);
        }
    }

    private static int start(String printed, JsonNode thing) {
        Matcher title = Pattern.compile(
                        "\\d+ " + Pattern.quote(thing.at("/placement/name").asText()) + " ")
                .matcher(printed);
        return title.find() ? title.start() : printed.length() - 1;
    }

    @Test
    void everyPaperIsAPdfThatCanBeReadAndATable() throws IOException, InterruptedException {
        long shot = api.shot("4C");
        long scene = api.sceneOf(shot);
        long run = api.post(
                        "/api/shots/%d/runs".formatted(api.shotFrom("4PP", shot)),
                        "{\"name\":\"Day 4\",\"pairs\":[],\"mirrored\":false}")
                .body()
                .at("/run/id")
                .asLong();
        Map<String, String> papers = Map.of(
                "/api/shots/%d/paper/plot.".formatted(shot),
                "Scale 1 : 50",
                "/api/shots/%d/paper/sheet.".formatted(shot),
                "Camera: 85 mm",
                "/api/shots/%d/paper/readings.".formatted(shot),
                "4C, readings",
                "/api/scenes/%d/paper/match.".formatted(scene),
                "Match, scene 4 against 4A",
                "/api/runs/%d/paper/verdict.".formatted(run),
                "verdict: Day 4");
        for (Map.Entry<String, String> paper : papers.entrySet()) {
            assertThat(text(paper.getKey() + "pdf")).contains(paper.getValue());
            assertThat(new String(api.file(paper.getKey() + "csv"), StandardCharsets.UTF_8)
                            .lines()
                            .count())
                    .isPositive();
        }
        String lights = new String(api.file("/api/runs/%d/paper/lights.csv".formatted(run)), StandardCharsets.UTF_8);
        assertThat(lights.lines().findFirst()).contains("Light,Stops off,Mired off,Duv off,Verdict");
        assertThat(lights.lines().map(l -> l.split(",")[0]))
                .contains("Key")
                .doesNotContain("exposure of the lit cheek");
        String sides = "?from=shot-%d&to=shot-%d".formatted(api.shot("4A"), shot);
        assertThat(text("/api/moves/paper.pdf" + sides)).contains("Moves, 4A to 4C");
        assertThat(new String(api.file("/api/moves/paper.csv" + sides), StandardCharsets.UTF_8))
                .contains("Department");
    }

    @Test
    void whatWasNotedIsOnThePapersAndInTheTables() throws IOException, InterruptedException {
        long shot = api.shotFrom("4NP", api.shot("4C"));
        api.post("/api/shots/%d/notes?placement=key".formatted(shot), "{\"text\":\"barn door rattles\"}");
        api.post("/api/shots/%d/notes".formatted(shot), "{\"text\":\"tram every ten minutes\"}");
        for (String paper : List.of("sheet", "rebuild")) {
            String at = "/api/shots/%d/paper/%s.".formatted(shot, paper);
            assertThat(text(at + "pdf")).contains("Note, Key: barn door rattles (", "Note: tram every ten minutes (");
            assertThat(new String(api.file(at + "csv"), StandardCharsets.UTF_8).lines())
                    .filteredOn(line -> line.contains("barn door rattles"))
                    .singleElement()
                    .asString()
                    .contains("Key");
        }
    }

    @Test
    void aPaperNamesThePageThatItIsOf() throws IOException, InterruptedException {
        long shot = api.shot("4C");
        String sheet = "/api/shots/%d/paper/sheet.pdf".formatted(shot);
        assertThat(text(sheet)).contains("No code: only the machine that printed this reaches its Oblume.");
        try (PDDocument pdf = Loader.loadPDF(api.body("10.0.0.5", sheet))) {
            assertThat(new PDFTextStripper().getText(pdf)).contains("http://10.0.0.5/shots/%d/plot".formatted(shot));
        }
    }

    @Test
    void feetAndInchesAreWrittenWhereTheyAreAskedFor() throws IOException, InterruptedException {
        assertThat(text("/api/shots/%d/paper/rebuild.pdf?units=imperial".formatted(api.shot("4A"))))
                .containsPattern("A 7['′] \\d+.* from window post");
    }

    @Test
    void thePlotIsDrawnToTheScaleThatIsAskedFor() throws IOException, InterruptedException {
        long shot = api.shot("4A");
        String at25 =
                new String(api.file("/api/shots/%d/paper/plot.svg?scale=25".formatted(shot)), StandardCharsets.UTF_8);
        String at50 =
                new String(api.file("/api/shots/%d/paper/plot.svg?scale=50".formatted(shot)), StandardCharsets.UTF_8);
        assertThat(width(at25) / width(at50)).isCloseTo(2, within(0.01));
        assertThat(at25).contains("Scale 1 : 25", "Street sign", "window post").doesNotContain("<script");
        assertThat(api.get("/api/shots/%d/paper/plot.pdf?scale=5000".formatted(shot))
                        .detail())
                .contains("out of range");
    }

    @Test
    void anotherKindOfFileIsRefusedInWords() {
        assertThat(api.get("/api/shots/%d/paper/sheet.docx".formatted(api.shot("4A")))
                        .detail())
                .contains("ask for pdf or csv");
        assertThat(api.get("/api/shots/999999/paper/sheet.pdf").status()).isEqualTo(404);
    }

    private static double width(String svg) {
        Matcher m = Pattern.compile("width=\"([\\d.]+)pt\"").matcher(svg);
        assertThat(m.find()).isTrue();
        return Double.parseDouble(m.group(1));
    }

    private String text(String path) throws IOException, InterruptedException {
        try (PDDocument pdf = Loader.loadPDF(api.file(path))) {
            return new PDFTextStripper().getText(pdf);
        }
    }
}
