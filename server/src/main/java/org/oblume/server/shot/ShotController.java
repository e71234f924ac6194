package org.oblume.server.shot;

import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
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

@Needs(Permission.READ)
@RestController
class ShotController {

    private final ShotService shots;

    ShotController(ShotService shots) {
        this.shots = shots;
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.BOOK)
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
    record Reopening(String reason) {}

    record Revised(int revision, List<ClosedRevision> closed) {}

    @GetMapping("/api/shots/{shotId}/revisions")
    Revised revisions(@PathVariable long shotId) {
        return new Revised(shots.get(shotId).revision(), shots.revisions(shotId));
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.BOOK)
    @PostMapping("/api/shots/{shotId}/revisions")
    @ResponseStatus(HttpStatus.CREATED)
    Shot revise(@PathVariable long shotId, @RequestBody Reopening reopening, Principal person) {
        return shots.revise(shotId, reopening.reason(), person.getName());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.BOOK)
    @PutMapping("/api/shots/{shotId}")
    ResponseEntity<Shot> update(
            @PathVariable long shotId,
            @RequestBody ShotCard card,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        Shot shot = shots.update(shotId, card, IfMatch.version(ifMatch), person.getName());
        return ResponseEntity.ok().eTag(IfMatch.etag(shot.version())).body(shot);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.BOOK)
    @DeleteMapping("/api/shots/{shotId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(
            @PathVariable long shotId,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        shots.delete(shotId, IfMatch.version(ifMatch));
    }
}
