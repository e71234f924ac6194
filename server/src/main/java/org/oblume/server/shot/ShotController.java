package org.oblume.server.shot;

import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IfMatch;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ShotController {

    private final ShotService shots;

    ShotController(ShotService shots) {
        this.shots = shots;
    }

    @PostMapping("/api/scenes/{sceneId}/shots")
    @ResponseStatus(HttpStatus.CREATED)
    Shot create(
            @PathVariable long sceneId,
            @RequestBody ShotCard card,
            @RequestParam(required = false) @Nullable Long after,
            @RequestParam(defaultValue = "false") boolean next,
            Principal person) {
        return shots.insert(sceneId, card, after, next, person.getName());
    }

    /** @param reason why what was shot is changed */
    record Opening(String reason) {}

    record Revised(int revision, List<ClosedRevision> closed) {}

    @GetMapping("/api/shots/{id}/revisions")
    Revised revisions(@PathVariable long id) {
        return new Revised(shots.get(id).revision(), shots.revisions(id));
    }

    @PostMapping("/api/shots/{id}/revisions")
    @ResponseStatus(HttpStatus.CREATED)
    Shot revise(@PathVariable long id, @RequestBody Opening opening, Principal person) {
        return shots.revise(id, opening.reason(), person.getName());
    }

    @PutMapping("/api/shots/{id}")
    ResponseEntity<Shot> update(
            @PathVariable long id,
            @RequestBody ShotCard card,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        Shot shot = shots.update(id, card, IfMatch.version(ifMatch), person.getName());
        return ResponseEntity.ok().eTag(IfMatch.etag(shot.version())).body(shot);
    }

    @DeleteMapping("/api/shots/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(
            @PathVariable long id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        shots.delete(id, IfMatch.version(ifMatch));
    }
}
