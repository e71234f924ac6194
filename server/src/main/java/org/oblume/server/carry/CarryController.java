package org.oblume.server.carry;

import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.moves.JobTimes;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.light.BustView;
import org.oblume.server.support.IfMatch;
import org.springframework.http.CacheControl;
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

/** The carry board, comparing, moves and looks. A side is {@code shot-12} or {@code look-3}. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class CarryController {

    private final CarryService carry;
    private final CompareService comparing;
    private final LookService looks;

    CarryController(CarryService carry, CompareService comparing, LookService looks) {
        this.looks = looks;
        this.carry = carry;
        this.comparing = comparing;
    }

    /** @param seen the newest change that the person had in sight */
    record CellEdits(List<CarryService.CellEdit> cells, @Nullable Reason reason, @Nullable String note, long seen) {}

    /**
     * @param side what the shot is to be like
     * @param placements keys of the things to change, or null for all
     */
    record TakeOver(
            String side,
            @Nullable List<String> placements,
            @Nullable Reason reason,
            @Nullable String note,
            long seen) {}

    record NewLook(String name, long shotId) {}

    record MoveTick(String from, String to, String key) {}

    record RebasePreview(List<CompareView.Rebased> shots) {}

    @GetMapping("/scenes/{sceneId}/carry")
    BoardView board(@PathVariable long sceneId) {
        return carry.board(sceneId);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.RECORD)
    @PostMapping("/scenes/{sceneId}/carry")
    BoardView edit(@PathVariable long sceneId, @RequestBody CellEdits edits, Principal person) {
        carry.edit(sceneId, edits.cells(), edits.reason(), edits.note(), edits.seen(), person.getName());
        return carry.board(sceneId);
    }

    @GetMapping("/shots/{shotId}/state")
    CompareView.Preview preview(@PathVariable long shotId, @RequestParam String side) {
        return carry.preview(shotId, side);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.RECORD)
    @PostMapping("/shots/{shotId}/state")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void take(@PathVariable long shotId, @RequestBody TakeOver wanted, Principal person) {
        carry.take(
                shotId,
                wanted.side(),
                wanted.placements(),
                wanted.reason(),
                wanted.note(),
                wanted.seen(),
                person.getName());
    }

    @GetMapping("/shots/{shotId}/rebase")
    RebasePreview rebased(@PathVariable long shotId, @RequestParam(required = false) @Nullable Long on) {
        return new RebasePreview(carry.rebased(shotId, on));
    }

    @GetMapping("/compare")
    CompareView compare(@RequestParam String from, @RequestParam String to) {
        return comparing.compare(from, to);
    }

    /** One of two states that are compared, as its camera sees it. */
    @GetMapping(path = "/compare/frame.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> frame(@RequestParam String side) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache().cachePrivate())
                .body(comparing.frame(side));
    }

    /** The light on the bust at its first mark. */
    @GetMapping("/compare/bust")
    BustView bust(@RequestParam String side) {
        return comparing.bust(side);
    }

    @GetMapping("/moves")
    MovesView moves(@RequestParam String from, @RequestParam String to) {
        return comparing.moves(from, to);
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.MOVES)
    @PutMapping("/moves/ticks")
    MovesView tick(@RequestBody MoveTick tick, Principal person) {
        comparing.tick(tick.from(), tick.to(), tick.key(), person.getName());
        return comparing.moves(tick.from(), tick.to());
    }

    @Needs(Permission.NOTE)
    @Changes(Topic.MOVES)
    @DeleteMapping("/moves/ticks")
    MovesView untick(@RequestParam String from, @RequestParam String to, @RequestParam String key) {
        comparing.untick(from, to, key);
        return comparing.moves(from, to);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.MOVES)
    @PutMapping("/productions/{productionId}/tempo")
    MovesView.JobTimesView keepTempo(@PathVariable long productionId, @RequestBody JobTimes times) {
        return comparing.keepTempo(productionId, times);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.LOOKS)
    @PostMapping("/looks")
    @ResponseStatus(HttpStatus.CREATED)
    BoardView.LookCard saveLook(@RequestBody NewLook look, Principal person) {
        return looks.save(look.name(), look.shotId(), person.getName());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.LOOKS)
    @DeleteMapping("/looks/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void deleteLook(
            @PathVariable long id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        looks.delete(id, IfMatch.version(ifMatch));
    }
}
