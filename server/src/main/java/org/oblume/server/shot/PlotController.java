package org.oblume.server.shot;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.scene.PlacementCard;
import org.oblume.server.support.IfMatch;
import org.oblume.server.support.RecordJson;
import org.oblume.server.team.TeamService;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
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

/** The plot of a shot. Every edit answers with what it changed. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api/shots/{shotId}")
class PlotController {

    private final PlotService plots;
    private final KnotService knots;
    private final ConfirmationService confirmations;
    private final TeamService team;
    private final RecordJson json;

    PlotController(
            PlotService plots,
            KnotService knots,
            ConfirmationService confirmations,
            TeamService team,
            RecordJson json) {
        this.plots = plots;
        this.knots = knots;
        this.confirmations = confirmations;
        this.team = team;
        this.json = json;
    }

    /**
     * A value as data, or as a person typed it, or a place as it was measured on set, or a unit that was exchanged; one of them.
     *
     * @param looked whether the person stands before it: then it is known, too, that somebody looked
     * @param insteadOf the value that the change was made on: for a device whose versions mean nothing any more, because the record was
     *     brought back from a copy since; there is no If-Match then
     */
    record KnotBody(
            @Schema(implementation = AttributeValue.class) @Nullable JsonNode value,
            @Nullable String text,
            @Nullable MeasuredBody measured,
            @Nullable ExchangeBody exchange,
            @Nullable Boolean looked,
            @Schema(implementation = AttributeValue.class) @Nullable JsonNode insteadOf,
            @Nullable Reason reason,
            @Nullable String note) {}

    /**
     * @param revision that the change was made on, 0 for a value that was never tied here
     * @param insteadOf as in {@link KnotBody}; the revision is not looked at then
     */
    record OneKnot(
            String placement,
            Attribute attribute,
            @Schema(implementation = AttributeValue.class) @Nullable JsonNode value,
            long revision,
            @Schema(implementation = AttributeValue.class) @Nullable JsonNode insteadOf) {}

    /** Several changes at once. A value that is left out carries again. */
    record ManyKnots(List<OneKnot> changes, @Nullable Reason reason, @Nullable String note) {}

    /** Values by their attribute. */
    record SeenValues(Map<Attribute, JsonNode> values) {}

    /** @param key of what was placed */
    record Placed(String key, PlotEdit edit) {}

    @GetMapping("/plot")
    PlotView plot(@PathVariable long shotId, @RequestParam(required = false) @Nullable Long asOf, Principal person) {
        return asOf == null ? plots.plot(shotId, person.getName()) : plots.asOf(shotId, asOf);
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.RECORD)
    @ApiResponse(
            responseCode = "409",
            description = "Somebody changed it since; conflict of the problem is this",
            content = @Content(schema = @Schema(implementation = ConflictingValue.class)))
    @ApiResponse(responseCode = "200", useReturnTypeSchema = true)
    @PutMapping("/placements/{placement}/{attribute}")
    ResponseEntity<PlotEdit> tie(
            @PathVariable long shotId,
            @PathVariable String placement,
            @PathVariable Attribute attribute,
            @RequestBody KnotBody body,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        AttributeValue wanted = wanted(shotId, placement, attribute, body);
        long madeOn = body.insteadOf() == null
                ? IfMatch.version(ifMatch)
                : knots.revisionOf(shotId, placement, attribute, json.value(attribute, body.insteadOf()), wanted);
        return answer(
                shotId,
                new KnotChange(placement, attribute, wanted, body.reason(), body.note(), person.getName(), madeOn),
                Boolean.TRUE.equals(body.looked()),
                person);
    }

    private AttributeValue wanted(long shotId, String placement, Attribute attribute, KnotBody body) {
        if (body.measured() != null) {
            return plots.measured(shotId, placement, attribute, body.measured());
        }
        if (body.exchange() == null) {
            return json.value(attribute, body.value(), body.text());
        }
        if (attribute != Attribute.UNIT) {
            throw new Refusal(
                    "exchange", "Only a unit is exchanged: give the %s as a value.".formatted(attribute.label()));
        }
        return body.exchange().exchanged();
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.RECORD)
    @DeleteMapping("/placements/{placement}/{attribute}")
    ResponseEntity<PlotEdit> untie(
            @PathVariable long shotId,
            @PathVariable String placement,
            @PathVariable Attribute attribute,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        return answer(
                shotId,
                new KnotChange(placement, attribute, null, null, null, person.getName(), IfMatch.version(ifMatch)),
                false,
                person);
    }

    /** Records several changes, all of them or none. */
    @Needs(Permission.PATCH)
    @Changes(Topic.RECORD)
    @PostMapping("/knots")
    PlotEdit tieAll(@PathVariable long shotId, @RequestBody ManyKnots body, Principal person) {
        String by = person.getName();
        team.require(by, EditRights.of(body.changes().stream().map(OneKnot::attribute)));
        KnotService.Edited edited = knots.change(
                shotId,
                body.changes().stream()
                        .map(c -> new KnotChange(
                                c.placement(),
                                c.attribute(),
                                c.value() == null ? null : json.value(c.attribute(), c.value()),
                                body.reason(),
                                body.note(),
                                by,
                                madeOn(shotId, c)))
                        .toList());
        return plots.edited(edited.before(), edited.after(), by);
    }

    private long madeOn(long shotId, OneKnot change) {
        return change.insteadOf() == null || change.value() == null
                ? change.revision()
                : knots.revisionOf(
                        shotId,
                        change.placement(),
                        change.attribute(),
                        json.value(change.attribute(), change.insteadOf()),
                        json.value(change.attribute(), change.value()));
    }

    /**
     * Says that somebody looked: these values are what stands on set. No value is changed by it.
     *
     * @param body the values as the person had them in sight
     */
    @Needs(Permission.PATCH)
    @Changes(Topic.RECORD)
    @PostMapping("/placements/{placement}/looked")
    PlotEdit look(
            @PathVariable long shotId, @PathVariable String placement, @RequestBody SeenValues body, Principal person) {
        team.require(person.getName(), EditRights.of(body.values().keySet().stream()));
        KnotService.Edited edited = confirmations.confirm(shotId, placement, body.values(), person.getName());
        return plots.edited(edited.before(), edited.after(), person.getName());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.RECORD)
    @PutMapping("/placements/{placement}")
    PlotEdit describe(
            @PathVariable long shotId,
            @PathVariable String placement,
            @RequestBody PlacementCard card,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        return plots.describe(shotId, placement, card, IfMatch.version(ifMatch), person.getName());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.RECORD)
    @PostMapping("/placements/{placement}/copies")
    @ResponseStatus(HttpStatus.CREATED)
    Placed copy(@PathVariable long shotId, @PathVariable String placement, @RequestBody Copy body, Principal person) {
        return placed(plots.copy(shotId, placement, body, person.getName()), person);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.RECORD)
    @PostMapping("/placements")
    @ResponseStatus(HttpStatus.CREATED)
    Placed place(@PathVariable long shotId, @RequestBody NewPlacement body, Principal person) {
        List<AttributeValue> said = body.said() == null
                ? List.of()
                : body.said().stream()
                        .map(v -> json.value(v.attribute(), v.value(), null))
                        .toList();
        return placed(plots.place(shotId, body, said, person.getName()), person);
    }

    private ResponseEntity<PlotEdit> answer(long shotId, KnotChange change, boolean looked, Principal person) {
        team.require(person.getName(), EditRights.of(Stream.of(change.attribute())));
        KnotService.Edited edited =
                looked ? confirmations.change(shotId, change) : knots.change(shotId, List.of(change));
        return ResponseEntity.ok()
                .eTag(IfMatch.etag(edited.revisions().get(0)))
                .body(plots.edited(edited.before(), edited.after(), person.getName()));
    }

    private Placed placed(PlotService.KeptPlacement placed, Principal person) {
        return new Placed(placed.key(), plots.edited(placed.before(), placed.after(), person.getName()));
    }
}
