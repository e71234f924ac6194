package org.oblume.server.photo;

import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
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

    record PhotoTaps(List<TappedPoint> taps) {}

    /** @param things keys of them */
    record KeptPlaces(List<String> things, @Nullable Reason reason) {}

    @GetMapping
    SurveyView view(@PathVariable long shotId) {
        return survey.view(shotId);
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
        return survey.tap(shotId, photoId, body.taps(), IfMatch.version(ifMatch), person.getName());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.RECORD)
    @PostMapping("/places")
    SurveyView keep(@PathVariable long shotId, @RequestBody KeptPlaces body, Principal person) {
        return survey.keep(shotId, body.things(), body.reason(), person.getName());
    }
}
