package org.oblume.server.power;

import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.power.PowerPlan;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.power.PowerView.EarlierPower;
import org.oblume.server.support.IfMatch;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What feeds a set, and what a shot draws. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class SetPowerController {

    private final PowerService power;

    SetPowerController(PowerService power) {
        this.power = power;
    }

    /** @param lower how much lower all lights are taken, stops; 0 when it is left out */
    @GetMapping("/shots/{shotId}/power")
    PowerView power(@PathVariable long shotId, @RequestParam(required = false) @Nullable Double lower) {
        return power.view(shotId, lower == null ? 0 : lower);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.SET)
    @PutMapping("/sets/{setId}/power")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(
            @PathVariable long setId,
            @RequestBody PowerPlan plan,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        power.keep(setId, plan, IfMatch.version(ifMatch), person.getName());
    }

    /** What was said of it before, the latest first. */
    @GetMapping("/sets/{setId}/power/earlier")
    List<EarlierPower> earlier(@PathVariable long setId) {
        return power.earlier(setId);
    }
}
