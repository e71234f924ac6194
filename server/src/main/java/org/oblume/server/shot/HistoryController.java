package org.oblume.server.shot;

import java.security.Principal;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The past of a shot. Every step back answers with what it changed. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api/shots/{shotId}")
class HistoryController {

    private final HistoryService history;
    private final PlotService plots;

    HistoryController(HistoryService history, PlotService plots) {
        this.history = history;
        this.plots = plots;
    }

    /**
     * @param event to go back to: it is the last that still holds
     * @param placement only of that thing, or null
     */
    record Return(long event, @Nullable String placement) {}

    @GetMapping("/history")
    HistoryService.PastPage past(
            @PathVariable long shotId,
            @RequestParam(required = false) @Nullable String placement,
            @RequestParam(required = false) @Nullable Long before) {
        return history.past(shotId, placement, before);
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.RECORD)
    @PostMapping("/undo")
    PlotEdit undo(@PathVariable long shotId, Principal person) {
        KnotService.Edited edited = history.undo(shotId, person.getName());
        return plots.edited(edited.before(), edited.after(), person.getName());
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.RECORD)
    @PostMapping("/redo")
    PlotEdit redo(@PathVariable long shotId, Principal person) {
        KnotService.Edited edited = history.redo(shotId, person.getName());
        return plots.edited(edited.before(), edited.after(), person.getName());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.RECORD)
    @PostMapping("/back")
    PlotEdit back(@PathVariable long shotId, @RequestBody Return wanted, Principal person) {
        KnotService.Edited edited = history.goBack(shotId, wanted.event(), wanted.placement(), person.getName());
        return plots.edited(edited.before(), edited.after(), person.getName());
    }
}
