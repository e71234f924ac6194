package org.oblume.server.exchange;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.scene.Scene;
import org.oblume.server.support.PayloadTooLargeException;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@Needs(Permission.READ)
@RestController
class ExchangeController {

    private static final int LARGEST_MB = 10;
    private final ExchangeService exchange;

    ExchangeController(ExchangeService exchange) {
        this.exchange = exchange;
    }

    /** @param sceneId the scene that was made */
    record Imported(long sceneId, long productionId, String number) {}

    @GetMapping("/api/scenes/{sceneId}/export")
    ResponseEntity<SceneFile> export(@PathVariable long sceneId) {
        SceneFile file = exchange.export(sceneId);
        String name = (file.production().name() + " scene " + file.scene().number())
                        .replaceAll("[^\\p{L}\\p{N}]+", "-")
                        .toLowerCase(java.util.Locale.ROOT)
                + ".oblume.json";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(file);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.BOOK)
    @PostMapping(path = "/api/scenes/import", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(mediaType = MediaType.APPLICATION_JSON_VALUE, schema = @Schema(type = "string")))
    Imported load(InputStream body, @RequestParam(required = false) @Nullable String number, Principal person)
            throws IOException {
        byte[] bytes = PayloadTooLargeException.read(
                body, LARGEST_MB, "The file is larger than %d MB: a scene is never that large. Nothing was imported.");
        Scene scene = exchange.load(bytes, number, person.getName());
        return new Imported(scene.id(), scene.productionId(), scene.heading().number());
    }
}
