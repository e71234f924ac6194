package org.oblume.server.archive;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.server.archive.ArchiveViews.ArchiveProgress;
import org.oblume.server.archive.ArchiveViews.ArchiveReport;
import org.oblume.server.archive.MergeQuestion.Side;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** A production whole. Who takes one in changes everything, so a lead does. */
@Needs(Permission.LEAD)
@RestController
class ArchiveController {

    private static final String ZIP = "application/zip";

    private final ArchiveService archives;

    ArchiveController(ArchiveService archives) {
        this.archives = archives;
    }

    @Needs(Permission.EDIT)
    @GetMapping(path = "/api/productions/{productionId}/archive", produces = ZIP)
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = ZIP, schema = @Schema(type = "string", format = "binary")))
    ResponseEntity<StreamingResponseBody> archive(@PathVariable long productionId, Principal person) {
        String name = archives.nameOf(productionId).replaceAll("[^\\p{L}\\p{N} ._-]", "") + ".oblume.zip";
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(ZIP))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(out -> {
                    out.flush(); // what is kept of the person's session is written before the record is read as of
                    // one moment
                    archives.write(productionId, out, person.getName());
                });
    }

    @Needs(Permission.READ)
    @GetMapping("/api/productions/{productionId}/archives")
    ArchiveViews.Archives archivesOfProduction(@PathVariable long productionId) {
        return new ArchiveViews.Archives(archives.pictures(productionId), archives.points(productionId));
    }

    /** Takes the file as it is, and says what taking it in would do. */
    @PostMapping(path = "/api/archives", consumes = MediaType.ALL_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    ArchiveReport receiveArchive(InputStream body) throws IOException {
        return archives.receive(body);
    }

    @GetMapping("/api/archives/{id}")
    ArchiveReport lookAtArchive(@PathVariable String id) throws IOException {
        return archives.look(id);
    }

    @GetMapping("/api/archives/{id}/progress")
    ArchiveProgress archiveProgress(@PathVariable String id) {
        return archives.progress(id);
    }

    /**
     * How it is taken in.
     *
     * @param name for the production, where another one bears its name, or null
     */
    record TakeIn(@Nullable String name, List<MergeAnswer> answers) {}

    /** Which of both is kept. */
    record MergeAnswer(String id, Side side) {}

    @Changes({
        Topic.BOOK,
        Topic.RECORD,
        Topic.DAYS,
        Topic.LOOKS,
        Topic.SET,
        Topic.MOVES,
        Topic.RUNS,
        Topic.READINGS,
        Topic.MATCH,
        Topic.NOTES,
        Topic.TAKES,
        Topic.NODES,
        Topic.KIT,
        Topic.INVENTORY,
        Topic.PULLS
    })
    @PostMapping("/api/archives/{id}")
    ArchiveReport takeInArchive(@PathVariable String id, @RequestBody TakeIn how, Principal person) throws IOException {
        Map<String, Side> answers = new HashMap<>();
        how.answers().forEach(a -> answers.put(a.id(), a.side()));
        return archives.takeIn(id, how.name(), answers, person.getName());
    }

    @DeleteMapping("/api/archives/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forgetArchive(@PathVariable String id) throws IOException {
        archives.forget(id);
    }
}
