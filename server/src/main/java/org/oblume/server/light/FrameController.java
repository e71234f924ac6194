package org.oblume.server.light;

import com.fasterxml.jackson.databind.ObjectMapper;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.picture.Frame;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.light.FrameViews.FrameStep;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** The predicted picture of a shot: a step a line, as it comes about. Who stops reading stops the work. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api/shots/{shotId}")
class FrameController {

    private static final String LINES = "application/x-ndjson";
    private static final int SMALL = 320;

    private final FrameService frames;
    private final LightController light;
    private final ObjectMapper json;

    FrameController(FrameService frames, LightController light, ObjectMapper json) {
        this.frames = frames;
        this.light = light;
        this.json = json;
    }

    /**
     * A frame, with what is tried.
     *
     * @param camera key of one of the cameras; the first on set when it is left out
     * @param width of the picture, 16 to 1920 dots
     * @param perStop lines of equal exposure to a stop: 1, 3, or 0 for none
     */
    record FrameRequest(
            List<LightController.ProposedChange> changes,
            List<String> holds,
            List<String> out,
            @Nullable Integer cue,
            @Nullable String camera,
            int width,
            Frame.Of of,
            int perStop,
            List<FrameService.FrameSpot> touched) {}

    @Asks
    @PostMapping(path = "/light/frame", produces = LINES)
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = LINES, schema = @Schema(implementation = FrameStep.class)))
    ResponseEntity<StreamingResponseBody> frame(@PathVariable long shotId, @RequestBody FrameRequest asked) {
        FrameService.Prepared prepared = frames.prepare(
                shotId,
                light.tried(asked.changes(), asked.holds(), asked.out(), asked.cue()),
                new FrameService.Wanted(asked.camera(), asked.width(), asked.of(), asked.perStop(), asked.touched()));
        return ResponseEntity.ok().contentType(MediaType.parseMediaType(LINES)).body(out -> {
            try {
                frames.paint(prepared, step -> {
                    try {
                        out.write(json.writeValueAsBytes(step));
                        out.write('\n');
                        out.flush();
                    } catch (IOException nobodyWaits) {
                        throw new UncheckedIOException(nobodyWaits);
                    }
                });
            } catch (Refusal refused) {
                out.write(json.writeValueAsBytes(new FrameStep(1, null, refused.getMessage())));
            } catch (UncheckedIOException nobodyWaits) {
                throw nobodyWaits.getCause();
            }
        });
    }

    /**
     * A small picture of the shot as it is recorded.
     *
     * @param width 16 to 320 dots
     * @param cue how many cues have run
     */
    @GetMapping(path = "/frame.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> small(
            @PathVariable long shotId,
            @RequestParam(defaultValue = "160") int width,
            @RequestParam(defaultValue = "0") int cue) {
        FrameService.Prepared prepared = frames.prepare(
                shotId,
                new LightService.Tried(List.of(), List.of(), Set.of(), cue),
                new FrameService.Wanted(null, Math.min(SMALL, width), Frame.Of.LIGHT, 0, List.of()));
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache().cachePrivate())
                .body(frames.small(prepared));
    }
}
