package org.oblume.server.truck;

import java.security.Principal;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.support.IfMatch;
import org.oblume.server.truck.PullViews.AddedLine;
import org.oblume.server.truck.PullViews.Counted;
import org.oblume.server.truck.PullViews.PullListView;
import org.oblume.server.truck.PullViews.PullLists;
import org.oblume.server.truck.PullViews.PullSince;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Pull lists. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class PullController {

    private final PullService pulls;

    PullController(PullService pulls) {
        this.pulls = pulls;
    }

    @GetMapping("/productions/{productionId}/pull-lists")
    PullLists pullLists(@PathVariable long productionId) {
        return new PullLists(pulls.ofProduction(productionId));
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.PULLS)
    @PostMapping("/productions/{productionId}/pull-lists")
    @ResponseStatus(HttpStatus.CREATED)
    PullListView makePullList(@PathVariable long productionId, @RequestBody PullSubject subject, Principal person) {
        return pulls.view(pulls.make(productionId, subject, person.getName()));
    }

    @GetMapping("/pull-lists/{id}")
    PullListView pullList(@PathVariable long id) {
        return pulls.view(id);
    }

    /** How many of a line went out and came back by now. */
    @Needs(Permission.NOTE)
    @Changes(Topic.PULLS)
    @PutMapping("/pull-lists/{id}/lines/{line}")
    PullListView countLine(
            @PathVariable long id,
            @PathVariable long line,
            @RequestBody Counted counted,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        pulls.count(id, line, counted, IfMatch.version(ifMatch), person.getName());
        return pulls.view(id);
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.PULLS)
    @PostMapping("/pull-lists/{id}/lines")
    PullListView addLine(@PathVariable long id, @RequestBody AddedLine added) {
        pulls.add(id, added);
        return pulls.view(id);
    }

    /** What the plots want by now and it does not say, and what is not there to be pulled. */
    @GetMapping("/pull-lists/{id}/since")
    PullSince pullSince(@PathVariable long id) {
        return pulls.since(id);
    }

    /** Puts onto it what the plots want by now. */
    @Needs(Permission.NOTE)
    @Changes(Topic.PULLS)
    @PostMapping("/pull-lists/{id}/since")
    PullListView takeUpSince(@PathVariable long id) {
        pulls.takeUp(id);
        return pulls.view(id);
    }

    /** Says that it is over. */
    @Needs(Permission.NOTE)
    @Changes(Topic.PULLS)
    @PostMapping("/pull-lists/{id}/wrap")
    PullListView wrapPullList(@PathVariable long id, Principal person) {
        pulls.wrap(id, true, person.getName());
        return pulls.view(id);
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.PULLS)
    @DeleteMapping("/pull-lists/{id}/wrap")
    PullListView openPullList(@PathVariable long id, Principal person) {
        pulls.wrap(id, false, person.getName());
        return pulls.view(id);
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.PULLS)
    @DeleteMapping("/pull-lists/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removePullList(@PathVariable long id) {
        pulls.remove(id);
    }
}
