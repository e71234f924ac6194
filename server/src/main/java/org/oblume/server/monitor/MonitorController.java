package org.oblume.server.monitor;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.exposure.SignalTable;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.support.CsvFile;
import org.oblume.server.support.IfMatch;
import org.oblume.server.support.PayloadTooLargeException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The curve that a monitor's signals are read through. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class MonitorController {

    private static final int LARGEST_MB = 1;
    private final MonitorService monitor;

    MonitorController(MonitorService monitor) {
        this.monitor = monitor;
    }

    /** @param curve or null, of a scene: that of its production */
    record CurveChoice(@Nullable MonitorCurve curve) {}

    /** @param say what it makes of a grey card */
    record TableRead(SignalTable table, String say) {}

    @GetMapping("/scenes/{sceneId}/monitor")
    MonitorView monitor(@PathVariable long sceneId) {
        return monitor.view(sceneId);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.MATCH)
    @PutMapping("/scenes/{sceneId}/monitor")
    MonitorView keepForScene(
            @PathVariable long sceneId,
            @RequestBody CurveChoice choice,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        monitor.keepForScene(sceneId, choice.curve(), IfMatch.version(ifMatch));
        return monitor.view(sceneId);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.MATCH)
    @PutMapping("/productions/{productionId}/monitor")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keepForProduction(
            @PathVariable long productionId,
            @RequestBody MonitorCurve curve,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        monitor.keepForProduction(productionId, curve, IfMatch.version(ifMatch));
    }

    /** The curve that a scene is read through, as a table. */
    @GetMapping(path = "/scenes/{sceneId}/monitor.csv", produces = "text/csv")
    ResponseEntity<String> curveCsv(@PathVariable long sceneId) {
        return CsvFile.answer("curve.csv", CurveFile.write(monitor.curve(sceneId)));
    }

    /** Reads a curve from CSV; nothing is kept by this. */
    @Asks
    @PostMapping(path = "/monitor/table", consumes = MediaType.ALL_VALUE)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    TableRead read(@RequestParam String name, InputStream body) throws IOException {
        SignalTable table = CurveFile.read(
                name,
                CsvFile.text(PayloadTooLargeException.read(
                        body, LARGEST_MB, "The file is larger than %d MB: a curve is never that large.")));
        return new TableRead(table, table.say());
    }
}
