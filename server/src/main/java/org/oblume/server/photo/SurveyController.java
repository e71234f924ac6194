package org.oblume.server.photo;

import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.photo.SurveyView.TappedPoint;
import org.oblume.server.support.IfMatch;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Places by photographs. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api/shots/{shotId}/survey")
class SurveyController {

    private final SurveyService survey;

    SurveyController(SurveyService survey) {
        this.survey = survey;
    }

    /**
     * @param stood where somebody says that it was taken from, for a photograph that fits two places; or null
     * @param round what it was taken for; null for the record
     */
    record PhotoTaps(List<TappedPoint> taps, @Nullable PlanPoint stood, @Nullable String round) {}

    /**
     * @param things keys of those whose place is kept
     * @param aims keys of those whose aim is
     */
    record KeptPlaces(@Nullable String round, List<String> things, List<String> aims, @Nullable Reason reason) {}

    record KeptLandmarks(@Nullable String round, List<String> names) {}

    /** @param round null for the photographs of the record, else of a check or a rebuild */
    @GetMapping
    SurveyView view(@PathVariable long shotId, @RequestParam(required = false) @Nullable String round) {
        return survey.view(shotId, PhotoRound.parse(round));
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.NOTES)
    @PutMapping("/photos/{photoId}")
    SurveyView tap(
            @PathVariable long shotId,
            @PathVariable long photoId,
            @RequestBody PhotoTaps body,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        return survey.tap(
                shotId,
                photoId,
                body.taps(),
                body.stood(),
                PhotoRound.parse(body.round()),
                IfMatch.version(ifMatch),
                person.getName());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.RECORD)
    @PostMapping("/places")
    SurveyView keep(@PathVariable long shotId, @RequestBody KeptPlaces body, Principal person) {
        return survey.keep(
                shotId, PhotoRound.parse(body.round()), body.things(), body.aims(), body.reason(), person.getName());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.SET)
    @PostMapping("/landmarks")
    SurveyView keepLandmarks(@PathVariable long shotId, @RequestBody KeptLandmarks body, Principal person) {
        return survey.keepLandmarks(shotId, PhotoRound.parse(body.round()), body.names(), person.getName());
    }
}
