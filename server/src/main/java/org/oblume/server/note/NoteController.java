package org.oblume.server.note;

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
import org.oblume.server.support.IfMatch;
import org.oblume.server.support.PayloadTooLargeException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
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

/** Takes, notes and photographs. A photograph is sent as it is, its caption beside it in the address. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class NoteController {

    private final NoteService notes;

    NoteController(NoteService notes) {
        this.notes = notes;
    }

    record NoteBody(String text) {}

    record Takes(List<Take> takes) {}

    record Notes(List<Note> notes) {}

    @GetMapping("/shots/{shotId}/takes")
    Takes takes(@PathVariable long shotId) {
        return new Takes(notes.takes(shotId));
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.TAKES)
    @PostMapping("/shots/{shotId}/takes")
    @ResponseStatus(HttpStatus.CREATED)
    Take addTake(@PathVariable long shotId, @RequestBody NoteService.TakeCard card, Principal person) {
        return notes.addTake(shotId, card, person.getName());
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.TAKES)
    @PutMapping("/takes/{id}")
    Take changeTake(
            @PathVariable long id,
            @RequestBody NoteService.TakeCard card,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return notes.changeTake(id, card, IfMatch.version(ifMatch));
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.TAKES)
    @DeleteMapping("/takes/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteTake(
            @PathVariable long id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        notes.deleteTake(id, IfMatch.version(ifMatch), person.getName());
    }

    @GetMapping("/shots/{shotId}/notes")
    Notes ofShot(@PathVariable long shotId) {
        return new Notes(notes.ofShot(shotId));
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.NOTES)
    @PostMapping(path = "/shots/{shotId}/notes", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    Note addToShot(
            @PathVariable long shotId,
            @RequestParam(required = false) @Nullable String placement,
            @RequestBody NoteBody body,
            Principal person) {
        return notes.addToShot(shotId, placement, body.text(), null, person.getName());
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.NOTES)
    @PostMapping(path = "/shots/{shotId}/photos", consumes = MediaType.ALL_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    Note addPhotoToShot(
            @PathVariable long shotId,
            @RequestParam(required = false) @Nullable String placement,
            @RequestParam(defaultValue = "") String text,
            InputStream body,
            Principal person)
            throws IOException {
        return notes.addToShot(shotId, placement, text, photo(body), person.getName());
    }

    @GetMapping("/sets/{setId}/notes")
    Notes ofSet(@PathVariable long setId) {
        return new Notes(notes.ofSet(setId));
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.NOTES)
    @PostMapping(path = "/sets/{setId}/notes", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    Note addToSet(@PathVariable long setId, @RequestBody NoteBody body, Principal person) {
        return notes.addToSet(setId, body.text(), null, person.getName());
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.NOTES)
    @PostMapping(path = "/sets/{setId}/photos", consumes = MediaType.ALL_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    Note addPhotoToSet(
            @PathVariable long setId, @RequestParam(defaultValue = "") String text, InputStream body, Principal person)
            throws IOException {
        return notes.addToSet(setId, text, photo(body), person.getName());
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.NOTES)
    @DeleteMapping("/notes/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@PathVariable long id, Principal person) {
        notes.delete(id, person.getName());
    }

    /** Brings back what was taken out within thirty days. */
    @Needs(Permission.NOTE)
    @Changes(Topic.NOTES)
    @PostMapping("/notes/{id}/back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void bringBack(@PathVariable long id, Principal person) {
        notes.bringBack(id, person.getName());
    }

    @GetMapping(path = "/notes/{id}/photo", produces = MediaType.ALL_VALUE)
    ResponseEntity<byte[]> photo(@PathVariable long id) {
        return notes.photo(id).served();
    }

    private static byte[] photo(InputStream body) throws IOException {
        return PayloadTooLargeException.read(
                body, PictureFile.LARGEST_MB, "The photo is larger than %d MB: save it smaller.");
    }
}
