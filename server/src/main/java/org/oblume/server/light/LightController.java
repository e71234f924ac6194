package org.oblume.server.light;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.support.RecordJson;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The light of a shot. Asking with no changes tells the light as it is recorded. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api/shots/{shotId}")
class LightController {

    private final LightService light;
    private final RecordJson json;

    LightController(LightService light, RecordJson json) {
        this.light = light;
        this.json = json;
    }

    /** A value as data, or as a person typed it; one of the two. */
    record ProposedChange(
            String placement,
            Attribute attribute,
            @Schema(implementation = AttributeValue.class) @Nullable JsonNode value,
            @Nullable String text) {}

    /** @param cue how many cues of the shot have run; none when it is left out */
    record TrialRequest(List<ProposedChange> changes, List<String> holds, List<String> out, @Nullable Integer cue) {}

    /**
     * A place of the set that is pointed at, with what is tried.
     *
     * @param heightM null on the floor, and at a usual height on a wall
     * @param withinM how near a wall has to be to be meant, metres, 0 to 2
     */
    record PointRequest(
            double xM,
            double yM,
            @Nullable Double heightM,
            double withinM,
            List<ProposedChange> changes,
            List<String> holds,
            List<String> out,
            @Nullable Integer cue) {}

    /**
     * The bust at a mark, with what is tried.
     *
     * @param mark key of it; the first on set when it is left out
     */
    record BustRequest(
            @Nullable String mark,
            List<ProposedChange> changes,
            List<String> holds,
            List<String> out,
            @Nullable Integer cue) {}

    record Arranging(LightService.Order order, List<String> placements) {}

    record Arranged(List<ParsedChange> changes) {}

    @Asks
    @PostMapping("/light")
    TrialView light(@PathVariable long shotId, @RequestBody TrialRequest asked) {
        return light.tried(shotId, tried(asked.changes(), asked.holds(), asked.out(), asked.cue()));
    }

    /** Where the light lands: all of it on a small surface that is pointed at, and of which source. */
    @Asks
    @PostMapping("/light/at")
    LandingView at(@PathVariable long shotId, @RequestBody PointRequest asked) {
        return light.landing(
                shotId,
                tried(asked.changes(), asked.holds(), asked.out(), asked.cue()),
                new LightService.Point(PlanPoint.of(asked.xM(), asked.yM()), asked.heightM(), asked.withinM()));
    }

    /** The bust at a mark. */
    @Asks
    @PostMapping("/light/bust")
    BustView bust(@PathVariable long shotId, @RequestBody BustRequest asked) {
        return light.bust(shotId, tried(asked.changes(), asked.holds(), asked.out(), asked.cue()), asked.mark());
    }

    LightService.Tried tried(
            List<ProposedChange> proposed, List<String> holds, List<String> out, @Nullable Integer cue) {
        List<Change> changes = proposed.stream()
                .map(w -> new Change(w.placement(), json.value(w.attribute(), w.value(), w.text())))
                .toList();
        return new LightService.Tried(changes, holds, Set.copyOf(out), cue == null ? 0 : cue);
    }

    @Asks
    @PostMapping("/arrange")
    Arranged arrange(@PathVariable long shotId, @RequestBody Arranging asked) {
        return new Arranged(ParsedChange.of(light.ordered(shotId, asked.order(), asked.placements())));
    }
}
