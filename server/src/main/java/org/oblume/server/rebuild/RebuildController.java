package org.oblume.server.rebuild;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.geometry.TapeCheck;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.support.IfMatch;
import org.oblume.server.support.RecordJson;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Rebuilding: the sheet of a shot, its runs and their steps. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class RebuildController {

    private final RebuildService rebuild;
    private final RebuildSheets sheets;
    private final RecordJson json;

    RebuildController(RebuildService rebuild, RebuildSheets sheets, RecordJson json) {
        this.rebuild = rebuild;
        this.sheets = sheets;
        this.json = json;
    }

    /** A value that is true now, as data or as typed; one of the two. */
    record DeviatingValue(
            Attribute attribute,
            @Schema(implementation = AttributeValue.class) @Nullable JsonNode value,
            @Nullable String text) {}

    record StepBody(
            boolean done,
            @Nullable String kind,
            @Nullable String unit,
            @Nullable List<DeviatingValue> values,
            @Nullable String why) {

        StepBody {
            values = values == null ? List.of() : List.copyOf(values);
        }
    }

    /** @param length as typed. */
    record PulledTape(String landmark, String length) {}

    record PulledTapes(@Nullable List<PulledTape> tapes) {

        PulledTapes {
            tapes = tapes == null ? List.of() : List.copyOf(tapes);
        }
    }

    /**
     * @param xM where the tapes put it
     * @param wrong landmark of the tape that is likely misread, or null
     */
    record TapeCheckView(
            double xM, double yM, double offM, @Nullable Double missM, @Nullable String wrong, Phrase sentence) {}

    record FitPreview(RunHead.FittedPlan fit, List<RebuildView.MisfitView> misfits) {}

    @GetMapping("/shots/{shotId}/rebuild")
    RebuildView sheet(@PathVariable long shotId) {
        return sheets.ofShot(shotId);
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.RUNS)
    @PutMapping("/shots/{shotId}/rebuild/{placement}")
    RebuildView tickOfShot(@PathVariable long shotId, @PathVariable String placement, Principal person) {
        long run = rebuild.openRun(shotId, person.getName());
        rebuild.tick(run, placement, person.getName());
        return sheets.ofRun(run);
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.RUNS)
    @DeleteMapping("/shots/{shotId}/rebuild/{placement}")
    RebuildView untickOfShot(@PathVariable long shotId, @PathVariable String placement, Principal person) {
        long run = rebuild.openRun(shotId, person.getName());
        rebuild.untick(run, placement);
        return sheets.ofRun(run);
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.RUNS)
    @PostMapping("/shots/{shotId}/runs")
    @ResponseStatus(HttpStatus.CREATED)
    RebuildView begin(@PathVariable long shotId, @RequestBody RebuildService.NewRun wanted, Principal person) {
        return sheets.ofRun(rebuild.begin(shotId, wanted, person.getName()));
    }

    /** How the plot would lie on another set; nothing is kept. */
    @Asks
    @PostMapping("/shots/{shotId}/runs/fit")
    FitPreview fit(@PathVariable long shotId, @RequestBody RebuildService.NewRun wanted) {
        BuiltRun run = rebuild.fitted(shotId, wanted);
        return new FitPreview(Objects.requireNonNull(run.head().fit()), RebuildSheets.misfits(run.built()));
    }

    @GetMapping("/runs/{id}")
    RebuildView run(@PathVariable long id) {
        return sheets.ofRun(id);
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.RUNS)
    @PutMapping("/runs/{id}/steps/{placement}")
    RebuildView tick(@PathVariable long id, @PathVariable String placement, Principal person) {
        rebuild.tick(id, placement, person.getName());
        return sheets.ofRun(id);
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.RUNS)
    @DeleteMapping("/runs/{id}/steps/{placement}")
    RebuildView untick(@PathVariable long id, @PathVariable String placement) {
        rebuild.untick(id, placement);
        return sheets.ofRun(id);
    }

    /** What is not as recorded. Nothing in it: it is as recorded after all. */
    @Needs(Permission.NOTE)
    @Changes(Topic.RUNS)
    @PutMapping("/runs/{id}/steps/{placement}/otherwise")
    RebuildView otherwise(
            @PathVariable long id,
            @PathVariable String placement,
            @RequestBody StepBody body,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        List<Change> values = (body.values() == null ? List.<DeviatingValue>of() : body.values())
                .stream()
                        .map(v -> new Change(placement, json.value(v.attribute(), v.value(), v.text())))
                        .toList();
        rebuild.otherwise(
                id,
                placement,
                new RebuildService.StepChange(body.done(), body.kind(), body.unit(), values, body.why()),
                IfMatch.version(ifMatch),
                person.getName());
        return sheets.ofRun(id);
    }

    @Asks
    @PostMapping("/runs/{id}/steps/{placement}/tapes")
    TapeCheckView tapes(@PathVariable long id, @PathVariable String placement, @RequestBody PulledTapes pulled) {
        Map<String, Double> lengths = new LinkedHashMap<>();
        for (PulledTape tape : pulled.tapes() == null ? List.<PulledTape>of() : pulled.tapes()) {
            lengths.put(tape.landmark(), Length.parse(tape.length()).metres());
        }
        TapeCheck check = rebuild.tapes(id, placement, lengths);
        return new TapeCheckView(
                check.found().xM(), check.found().yM(), check.offM(), check.missM(), check.wrong(), check.sentence());
    }

    /** Goes on with the record as it is now. */
    @Needs(Permission.NOTE)
    @Changes(Topic.RUNS)
    @PostMapping("/runs/{id}/continue")
    RebuildView goOn(@PathVariable long id) {
        rebuild.goOn(id);
        return sheets.ofRun(id);
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.RUNS)
    @PostMapping("/runs/{id}/restart")
    RebuildView restart(@PathVariable long id) {
        rebuild.restart(id);
        return sheets.ofRun(id);
    }
}
