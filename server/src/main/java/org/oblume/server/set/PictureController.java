package org.oblume.server.set;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.support.PayloadTooLargeException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@Needs(Permission.READ)
@RestController
class PictureController {

    private final PictureService pictures;

    PictureController(PictureService pictures) {
        this.pictures = pictures;
    }

    /** Takes a PNG, JPEG or SVG as it is. */
    @Needs(Permission.EDIT)
    @Changes(Topic.SET)
    @PostMapping(path = "/api/sets/{setId}/pictures", consumes = MediaType.ALL_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    PictureService.Kept put(@PathVariable long setId, InputStream body) throws IOException {
        return pictures.keep(
                setId,
                PayloadTooLargeException.read(
                        body, PictureFile.LARGEST_MB, "The picture is larger than %d MB: save it smaller."));
    }

    @GetMapping(path = "/api/pictures/{id}", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> get(@PathVariable long id) {
        return pictures.get(id).served();
    }
}
