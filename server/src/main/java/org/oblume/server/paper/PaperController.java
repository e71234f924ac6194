package org.oblume.server.paper;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.support.CsvCell;
import org.oblume.server.support.KnownHosts;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The record on paper: each as {@code pdf} or as {@code csv}, the plot as {@code svg} too. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class PaperController {

    private static final double MOST_SCALE = 1000;
    private static final double PAGE_WIDTH_PT = 762;
    private static final double PAGE_HEIGHT_PT = 470;
    private static final double SCALE_BAR_PT = 30;
    private final Papers papers;
    private final ProofPapers proof;
    private final DayPapers days;
    private final KitPapers kit;
    private final Clock clock;
    private final KnownHosts hosts;

    PaperController(Papers papers, ProofPapers proof, DayPapers days, KitPapers kit, Clock clock, KnownHosts hosts) {
        this.hosts = hosts;
        this.days = days;
        this.kit = kit;
        this.papers = papers;
        this.proof = proof;
        this.clock = clock;
    }

    @GetMapping(path = "/shots/{shotId}/paper/plot.svg", produces = "image/svg+xml")
    ResponseEntity<byte[]> svg(@PathVariable long shotId, @RequestParam(defaultValue = "0") int scale) {
        PlanDrawing drawing = papers.drawing(shotId);
        int drawn = checked(scale) > 0 ? scale : drawing.scaleFor(PAGE_WIDTH_PT, PAGE_HEIGHT_PT);
        double bar = drawing.heightPt(drawn) + SCALE_BAR_PT;
        SvgPen pen = new SvgPen(Math.max(260, drawing.widthPt(drawn)), bar);
        drawing.draw(pen, new Pen.At(0, 0), drawn);
        PlanDrawing.scaleBar(pen, new Pen.At(8, bar - SCALE_BAR_PT + 8), drawn);
        return answer(
                pen.svg("Plot").getBytes(StandardCharsets.UTF_8),
                "plot.svg",
                MediaType.parseMediaType("image/svg+xml"));
    }

    /** @param scale 25 means 1 : 25; 0 for the largest that fits a page */
    @GetMapping(path = "/shots/{shotId}/paper/plot.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> plot(
            @PathVariable long shotId,
            @PathVariable String kind,
            @RequestParam(defaultValue = "0") int scale,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(papers.plot(shotId, checked(scale), reader(units)), kind, person);
    }

    @GetMapping(path = "/shots/{shotId}/paper/sheet.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> sheet(
            @PathVariable long shotId,
            @PathVariable String kind,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(papers.shotSheet(shotId, reader(units)), kind, person);
    }

    @GetMapping(path = "/shots/{shotId}/paper/rebuild.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> rebuild(
            @PathVariable long shotId,
            @PathVariable String kind,
            @RequestParam(required = false) @Nullable Long run,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(papers.rebuild(shotId, run, reader(units)), kind, person);
    }

    @GetMapping(path = "/shots/{shotId}/paper/readings.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> readings(
            @PathVariable long shotId,
            @PathVariable String kind,
            @RequestParam(required = false) @Nullable Long run,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(proof.readings(shotId, run, reader(units)), kind, person);
    }

    @GetMapping(path = "/moves/paper.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> moves(
            @RequestParam String from,
            @RequestParam String to,
            @PathVariable String kind,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(papers.moves(from, to, reader(units)), kind, person);
    }

    @GetMapping(path = "/scenes/{sceneId}/paper/match.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> match(
            @PathVariable long sceneId,
            @PathVariable String kind,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(proof.match(sceneId, reader(units)), kind, person);
    }

    @GetMapping(path = "/runs/{run}/paper/verdict.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> verdict(
            @PathVariable long run,
            @PathVariable String kind,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(proof.verdict(run, reader(units)), kind, person);
    }

    @GetMapping(path = "/runs/{run}/paper/lights.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> lights(
            @PathVariable long run,
            @PathVariable String kind,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(proof.lights(run, reader(units)), kind, person);
    }

    @GetMapping(path = "/productions/{productionId}/days/{number}/paper/day.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> day(
            @PathVariable long productionId,
            @PathVariable int number,
            @PathVariable String kind,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(days.day(productionId, number, reader(units)), kind, person);
    }

    /** What is cut for a day, of what. */
    @GetMapping(path = "/productions/{productionId}/days/{number}/paper/cut.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> cutList(
            @PathVariable long productionId,
            @PathVariable int number,
            @PathVariable String kind,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(kit.cut(productionId, number, reader(units)), kind, person);
    }

    @GetMapping(path = "/pull-lists/{id}/paper/pull.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> pullSheet(
            @PathVariable long id,
            @PathVariable String kind,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(kit.pull(id, reader(units)), kind, person);
    }

    /** Labels with codes for the units of a kit, or for some of them. */
    @GetMapping(path = "/productions/{productionId}/kit/paper/labels.{kind}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> labels(
            @PathVariable long productionId,
            @PathVariable String kind,
            @RequestParam(defaultValue = "") List<String> tags,
            @RequestParam(defaultValue = "metric") String units,
            Principal person) {
        return answer(kit.labels(productionId, tags, reader(units)), kind, person);
    }

    private static int checked(int scale) {
        return (int) Checks.within("scale", "The scale 1 :", scale, 0, MOST_SCALE, "");
    }

    private Papers.For reader(String units) {
        return new Papers.For("imperial".equals(units), hosts.reachable().orElse(null));
    }

    private ResponseEntity<byte[]> answer(Paper paper, String kind, Principal person) {
        return switch (kind) {
            case "pdf" ->
                answer(
                        PdfSheet.of(
                                paper.sheet(), "Printed %s by %s".formatted(when(clock.instant()), person.getName())),
                        paper.name() + ".pdf",
                        MediaType.APPLICATION_PDF);
            case "csv" ->
                answer(csv(paper.table()), paper.name() + ".csv", new MediaType("text", "csv", StandardCharsets.UTF_8));
            default -> throw new Refusal("kind", "There is no “%s” of it: ask for pdf or csv.".formatted(kind));
        };
    }

    private static ResponseEntity<byte[]> answer(byte[] bytes, String file, MediaType type) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(file, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .body(bytes);
    }

    private static byte[] csv(Sheet.Table table) {
        StringBuilder out = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
            printer.printRecord(
                    table.columns().stream().map(Sheet.Column::title).toList());
            for (List<String> row : table.rows()) {
                printer.printRecord(row.stream().map(CsvCell::of).toList());
            }
            return out.toString().getBytes(StandardCharsets.UTF_8);
        } catch (IOException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    static String when(Instant at) {
        return DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.UK)
                .withZone(ZoneId.systemDefault())
                .format(at);
    }
}
