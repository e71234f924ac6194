package org.oblume.server.continuity;

import java.security.Principal;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.continuity.Aspect;
import org.oblume.core.continuity.RatioConvention;
import org.oblume.core.continuity.RebuildVerdict;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.proof.ProofService;
import org.oblume.server.support.IfMatch;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The match report of a scene, and the verdict on a rebuild. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class MatchController {

    private final MatchService match;
    private final ProofService proof;

    MatchController(MatchService match, ProofService proof) {
        this.match = match;
        this.proof = proof;
    }

    record AssessmentSettings(long referenceShotId, RatioConvention school) {}

    record ShotTolerances(TolerancePreset closeness, Map<Aspect, Double> own) {}

    record ByEye(String reason) {}

    /**
     * @param seen how the rebuild stood on the page that the lead looked at, or null
     * @param byEye why it is signed though it is not proved, or null
     */
    record VerdictSigning(RebuildVerdict.@Nullable Standing seen, @Nullable String byEye) {}

    @GetMapping("/scenes/{sceneId}/match")
    MatchView report(@PathVariable long sceneId) {
        return match.scene(sceneId);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.MATCH)
    @PutMapping("/scenes/{sceneId}/match")
    MatchView judgeBy(
            @PathVariable long sceneId,
            @RequestBody AssessmentSettings by,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        match.judgeBy(sceneId, by.referenceShotId(), by.school(), IfMatch.version(ifMatch));
        return match.scene(sceneId);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.MATCH)
    @PutMapping("/shots/{shotId}/match")
    MatchView judge(
            @PathVariable long shotId,
            @RequestBody ShotTolerances shot,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return match.scene(match.judge(shotId, shot.closeness(), shot.own(), IfMatch.version(ifMatch)));
    }

    /** @param run a rebuild of the shot that is meant, or none for the shot itself */
    @Needs(Permission.EDIT)
    @Changes(Topic.MATCH)
    @PutMapping("/shots/{shotId}/by-eye/{aspect}")
    MatchView sayByEye(
            @PathVariable long shotId,
            @PathVariable Aspect aspect,
            @RequestParam(required = false) @Nullable Long run,
            @RequestBody ByEye said,
            Principal person) {
        return match.scene(match.sayByEye(shotId, run, aspect, said.reason(), person.getName()));
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.MATCH)
    @DeleteMapping("/shots/{shotId}/by-eye/{aspect}")
    MatchView takeBack(
            @PathVariable long shotId,
            @PathVariable Aspect aspect,
            @RequestParam(required = false) @Nullable Long run) {
        return match.scene(match.takeBackByEye(shotId, run, aspect));
    }

    @GetMapping("/runs/{id}/verdict")
    MatchView.VerdictView verdict(@PathVariable long id) {
        return match.verdict(id);
    }

    @Needs(Permission.LEAD)
    @Changes(Topic.RUNS)
    @PostMapping("/runs/{id}/sign")
    MatchView.VerdictView sign(
            @PathVariable long id, @RequestBody(required = false) @Nullable VerdictSigning signing, Principal person) {
        return match.sign(
                id,
                signing == null ? null : signing.seen(),
                signing == null ? null : signing.byEye(),
                proof.whole(id),
                person.getName());
    }
}
