package org.oblume.server.archive;

import java.security.Principal;
import java.util.List;
import org.oblume.server.archive.ClosingViews.Deleted;
import org.oblume.server.archive.ClosingViews.Standing;
import org.oblume.server.archive.ClosingViews.Whole;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A lead closes, deletes and brings back. */
@Needs(Permission.LEAD)
@RestController
class ClosingController {

    static final String PRODUCTION = "/api/productions/{productionId}/standing";
    static final String SCENE = "/api/scenes/{sceneId}/standing";

    private final ClosingService closing;

    ClosingController(ClosingService closing) {
        this.closing = closing;
    }

    /** What it shall be. */
    record NewStanding(Standing standing) {}

    @Changes({Topic.BOOK, Topic.DAYS, Topic.RECORD, Topic.INVENTORY, Topic.PULLS})
    @PutMapping(PRODUCTION)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putProduction(@PathVariable long productionId, @RequestBody NewStanding body, Principal person) {
        closing.put(Whole.PRODUCTION, productionId, body.standing(), person.getName());
    }

    @Changes({Topic.BOOK, Topic.DAYS, Topic.RECORD, Topic.INVENTORY, Topic.PULLS})
    @PutMapping(SCENE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putScene(@PathVariable long sceneId, @RequestBody NewStanding body, Principal person) {
        closing.put(Whole.SCENE, sceneId, body.standing(), person.getName());
    }

    @GetMapping("/api/deleted")
    List<Deleted> deleted() {
        return closing.deleted();
    }
}
