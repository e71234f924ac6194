package org.oblume.server.metering;

import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.support.TextLimits;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Readings of a shot, or of one of its rebuilds. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class MeterController {

    private final MeterService meter;
    private final OneWhite whites;

    MeterController(MeterService meter, OneWhite whites) {
        this.meter = meter;
        this.whites = whites;
    }

    /**
     * @param mark key of the mark when the line names none
     * @param run id of a rebuild
     * @param sure kept though it was asked back
     */
    record ReadingBody(String line, @Nullable String mark, @Nullable Long run, boolean sure) {}

    /**
     * @param reference key of the light whose white is meant, or null for a white that was typed
     * @param white as typed: {@code 4300 +0.002}
     */
    record WhiteMatchRequest(@Nullable String reference, @Nullable String white, @Nullable List<String> others) {

        WhiteMatchRequest {
            others = others == null ? List.of() : List.copyOf(others);
        }
    }

    @GetMapping("/shots/{shotId}/readings")
    MeterView readings(@PathVariable long shotId, @RequestParam(required = false) @Nullable Long run) {
        return meter.view(shotId, run);
    }

    @Asks
    @PostMapping("/shots/{shotId}/readings/read")
    MeterView.ParsedReading read(@PathVariable long shotId, @RequestBody ReadingBody body) {
        return meter.understood(shotId, body.run(), TextLimits.line(body.line()), body.mark());
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.READINGS)
    @PostMapping("/shots/{shotId}/readings")
    @ResponseStatus(HttpStatus.CREATED)
    MeterView add(@PathVariable long shotId, @RequestBody ReadingBody body, Principal person) {
        meter.add(shotId, body.run(), TextLimits.line(body.line()), body.mark(), body.sure(), person.getName());
        return meter.view(shotId, body.run());
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.READINGS)
    @PostMapping("/readings/{id}/confirmed")
    MeterView confirm(@PathVariable long id, Principal person) {
        MeterService.ReadingOf of = meter.confirm(id, person.getName());
        return meter.view(of.shotId(), of.run());
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.READINGS)
    @DeleteMapping("/readings/{id}")
    MeterView delete(@PathVariable long id, Principal person) {
        MeterService.ReadingOf of = meter.delete(id, person.getName());
        return meter.view(of.shotId(), of.run());
    }

    @Asks
    @PostMapping("/shots/{shotId}/agree")
    MeterView.WhiteMatchView agree(@PathVariable long shotId, @RequestBody WhiteMatchRequest body) {
        return whites.agree(shotId, body.reference(), body.white(), body.others() == null ? List.of() : body.others());
    }
}
