package org.oblume.server.kit;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.support.PayloadTooLargeException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@Needs(Permission.READ)
@RestController
@RequestMapping("/api/kit")
class KitController {

    private static final int LARGEST_MB = 2;
    private final KitService kit;

    KitController(KitService kit) {
        this.kit = kit;
    }

    @GetMapping
    Kit kit() {
        return kit.kit();
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.KIT)
    @PostMapping("/fixtures")
    @ResponseStatus(HttpStatus.CREATED)
    Kit.Fixture add(@RequestBody Kit.Fixture wanted) {
        return kit.add(wanted);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.KIT)
    @DeleteMapping("/fixtures")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@RequestParam String what) {
        kit.remove(what);
    }

    /** Reads a measured beam from an ANSI/IES LM-63 file; nothing is kept by this. */
    @Asks
    @PostMapping(path = "/beam", consumes = MediaType.ALL_VALUE)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    PhotometricFile.MeasuredFixture beam(InputStream body) throws IOException {
        byte[] bytes = PayloadTooLargeException.read(
                body, LARGEST_MB, "The file is larger than %d MB: a measured beam is never that large.");
        return PhotometricFile.read(new String(bytes, StandardCharsets.ISO_8859_1));
    }
}
