package org.oblume.server.events;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.security.Principal;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Server-sent events: {@code changed} for each call that changed something, {@code presence} when someone comes, goes or looks
 * elsewhere, {@code beat} every ten seconds.
 */
@Needs(Permission.READ)
@RestController
class EventStreamController {

    private static final int LONGEST_DEVICE = 60;

    private final EventStreams hub;

    EventStreamController(EventStreams hub) {
        this.hub = hub;
    }

    /** @param shotId null for no shot */
    record Viewing(@Nullable Long shotId) {}

    /** @param device a name that the device made up for itself; its edits bear it too */
    @ApiResponse(
            responseCode = "200",
            description = "Events; the data of one called changed is this",
            content =
                    @Content(
                            mediaType = MediaType.TEXT_EVENT_STREAM_VALUE,
                            schema = @Schema(implementation = RecordChanged.class)))
    @GetMapping(path = "/api/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live(
            @RequestParam String device, @RequestParam(required = false) @Nullable Long shot, Principal person) {
        return hub.open(named(device), person.getName(), shot);
    }

    @Changes({})
    @PutMapping("/api/live/{device}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void here(@PathVariable String device, @RequestBody Viewing here, Principal person) {
        hub.moveTo(named(device), person.getName(), here.shotId());
    }

    /** A name that is sent to everybody, and so is short. */
    private static String named(String device) {
        if (device.isBlank() || device.length() > LONGEST_DEVICE) {
            throw new Refusal(
                    "device",
                    "A device names itself with at most %d signs: reload the page.".formatted(LONGEST_DEVICE));
        }
        return device;
    }
}
