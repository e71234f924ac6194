package org.oblume.server.still;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.set.PictureFile;
import org.oblume.server.still.StillViews.MarkedPoint;
import org.oblume.server.still.StillViews.RunStill;
import org.oblume.server.still.StillViews.SceneStills;
import org.oblume.server.still.StillViews.StillHead;
import org.oblume.server.still.StillViews.StillPair;
import org.oblume.server.still.StillViews.StillView;
import org.oblume.server.support.IfMatch;
import org.oblume.server.support.PayloadTooLargeException;
import org.springframework.http.CacheControl;
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

/** Frames that were shot, and photographs of a shot. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class StillController {

    private final StillService stills;

    StillController(StillService stills) {
        this.stills = stills;
    }

    /**
     * @param videoRange whether 16 of 255 is black and 235 white
     * @param points null leaves them as they are
     */
    record StillSaid(StillKind kind, boolean videoRange, @Nullable List<MarkedPoint> points) {}

    @GetMapping("/scenes/{sceneId}/stills")
    SceneStills ofScene(@PathVariable long sceneId) {
        return new SceneStills(stills.ofScene(sceneId));
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.NOTES)
    @PostMapping(path = "/shots/{shotId}/stills", consumes = MediaType.ALL_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    StillHead add(
            @PathVariable long shotId,
            @RequestParam StillKind kind,
            @RequestParam(required = false) @Nullable Long run,
            @RequestParam(defaultValue = "") String text,
            InputStream body,
            Principal person)
            throws IOException {
        byte[] picture = PayloadTooLargeException.read(
                body, PictureFile.LARGEST_MB, "The picture is larger than %d MB: save it smaller.");
        return stills.add(shotId, run, kind, text, picture, person.getName());
    }

    @GetMapping("/stills/{id}")
    StillView still(@PathVariable long id) {
        return stills.view(id);
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.NOTES)
    @PutMapping("/stills/{id}")
    StillView say(
            @PathVariable long id,
            @RequestBody StillSaid said,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        stills.say(id, said.kind(), said.videoRange(), said.points(), IfMatch.version(ifMatch));
        return stills.view(id);
    }

    /** Holds the stills of a scene against this one. */
    @Needs(Permission.EDIT)
    @Changes(Topic.NOTES)
    @PutMapping("/stills/{id}/reference")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void hold(@PathVariable long id) {
        stills.hold(id);
    }

    /** Like points of two stills: the second against the first. */
    @GetMapping("/stills/{first}/beside/{second}")
    StillPair beside(@PathVariable long first, @PathVariable long second) {
        return stills.beside(first, second);
    }

    /** A frame of a rebuild beside the recorded one. */
    @GetMapping("/runs/{id}/still")
    RunStill ofRun(@PathVariable long id) {
        return stills.ofRun(id);
    }

    /** @param wide 200 for lists, else 1280 at most */
    @GetMapping(path = "/stills/{id}/picture", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> picture(@PathVariable long id, @RequestParam(defaultValue = "1280") int wide) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache().cachePrivate())
                .body(stills.picture(id, wide));
    }
}
