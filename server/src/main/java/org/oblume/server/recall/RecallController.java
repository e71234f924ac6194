package org.oblume.server.recall;

import com.fasterxml.jackson.databind.JsonNode;
import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.support.IfMatch;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.team.TeamRole;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Live output, and the rig that answers. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class RecallController {

    private final RecallService recall;
    private final CueRecall cues;
    private final LiveOutput output;
    private final RigClient rig;
    private final StopRule stopRule;

    RecallController(RecallService recall, CueRecall cues, LiveOutput output, RigClient rig, StopRule stopRule) {
        this.stopRule = stopRule;
        this.recall = recall;
        this.cues = cues;
        this.output = output;
        this.rig = rig;
    }

    /**
     * @param outlet name of an interface; the loopback when it is left out
     * @param confirmed the name typed again, for any but the loopback
     * @param atStop what becomes of the lights when output stops; the fixtures decide when it is left out
     */
    record Arm(@Nullable String outlet, @Nullable String confirmed, @Nullable AtStop atStop) {}

    /**
     * @param stateDigest of the preview that was looked at
     * @param warned whether cast and crew were warned of effects that flash
     */
    record RecallBody(double fadeSeconds, int priority, String stateDigest, boolean warned) {}

    /** @param keys of the placements; all when left out */
    record SendAgain(@Nullable List<String> keys) {

        SendAgain {
            keys = keys == null ? List.of() : List.copyOf(keys);
        }
    }

    record RigPatch(long shotId) {}

    record NodeState(boolean up) {}

    @GetMapping("/output")
    OutputView output() {
        return recall.output();
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.OUTPUT)
    @PostMapping("/output/arm")
    OutputView arm(@RequestBody Arm body, Principal person) {
        output.arm(
                body.outlet(),
                body.confirmed(),
                body.atStop() == null ? AtStop.FIXTURES_DECIDE : body.atStop(),
                person.getName());
        return recall.output();
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.OUTPUT)
    @PostMapping("/output/stop")
    OutputView stop(Principal person) {
        stopRule.requireMayStop(person.getName());
        output.stop();
        return recall.output();
    }

    /** @param stoppedBy that role and those above it may stop output */
    record MayStop(TeamRole stoppedBy) {}

    @Needs(Permission.LEAD)
    @Changes(Topic.OUTPUT)
    @PutMapping("/output/stoppers")
    OutputView stoppers(
            @RequestBody MayStop body,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        stopRule.change(body.stoppedBy(), IfMatch.version(ifMatch));
        return recall.output();
    }

    @GetMapping("/shots/{shotId}/recall")
    RecallView.RecallPreview preview(@PathVariable long shotId) {
        return recall.preview(shotId);
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.OUTPUT)
    @PostMapping("/shots/{shotId}/recall")
    OutputView recall(@PathVariable long shotId, @RequestBody RecallBody body, Principal person) {
        recall.recall(shotId, body.fadeSeconds(), body.priority(), body.stateDigest(), body.warned(), person.getName());
        return recall.output();
    }

    /**
     * @param number how many cues of the shot have run then
     * @param warned whether cast and crew were warned of effects that flash
     */
    record CueBody(int number, boolean warned) {}

    @Needs(Permission.PATCH)
    @Changes(Topic.OUTPUT)
    @PostMapping("/shots/{shotId}/cue")
    OutputView runCue(@PathVariable long shotId, @RequestBody CueBody body, Principal person) {
        cues.run(shotId, body.number(), body.warned(), person.getName());
        return recall.output();
    }

    @GetMapping("/shots/{shotId}/readback")
    RecallView.ReadBackView readBack(@PathVariable long shotId) {
        return recall.readBack(shotId);
    }

    /** Sends the record again: settings, then levels. */
    @Needs(Permission.PATCH)
    @Changes(Topic.OUTPUT)
    @PostMapping("/shots/{shotId}/readback")
    RecallView.ReadBackView sendAgain(@PathVariable long shotId, @RequestBody SendAgain body, Principal person) {
        recall.sendAgain(shotId, body.keys() == null ? List.of() : body.keys(), person.getName());
        return recall.readBack(shotId);
    }

    @GetMapping("/rig")
    RigState rig() {
        return rig.state().orElseThrow(() -> new NotFoundException("No rig answers."));
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.OUTPUT)
    @PostMapping("/rig/units")
    RigState patchFixtures(@RequestBody RigPatch body) {
        return recall.patchFixtures(body.shotId());
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.OUTPUT)
    @PostMapping("/rig/units/{unit}/faults")
    RigState fail(@PathVariable String unit, @RequestBody JsonNode fault) {
        return rig.fail(unit, fault);
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.OUTPUT)
    @DeleteMapping("/rig/units/{unit}/faults")
    RigState clearFaults(@PathVariable String unit) {
        return rig.clearFaults(unit);
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.OUTPUT)
    @PutMapping("/rig/nodes/{name}")
    RigState node(@PathVariable String name, @RequestBody NodeState body) {
        return rig.node(name, body.up());
    }

    /** Another source, noise: to see what is told then. */
    @Needs(Permission.PATCH)
    @Changes(Topic.OUTPUT)
    @PostMapping("/rig/disturbances")
    RigState disturb(@RequestBody JsonNode body) {
        return rig.disturb(body);
    }
}
