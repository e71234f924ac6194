package org.oblume.server.shot;

import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.Crossing;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Side;
import org.oblume.core.geometry.TapeFit;
import org.oblume.core.geometry.Taped;
import org.oblume.core.plot.Paces;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Underlay;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.set.DrawnSet;
import org.oblume.server.set.SetService;
import org.oblume.server.set.StageSet;
import org.oblume.server.support.IfMatch;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Sets: as they are drawn, and drawn anew. */
@Needs(Permission.READ)
@RestController
class SetController {

    private final SetService sets;
    private final SetDrawing drawing;

    SetController(SetService sets, SetDrawing drawing) {
        this.sets = sets;
        this.drawing = drawing;
    }

    /** @param distance between both points, as typed, metres or feet and inches */
    record Scaling(Underlay underlay, PlanPoint first, PlanPoint second, String distance) {}

    /** @param scenes numbers of those that are lit in it */
    record SetPage(DrawnSet drawn, List<String> scenes) {}

    /**
     * @param plan of the set as it is drawn now
     * @param side of the walk from the first landmark to the second; left out where a further tape or the walls tell it
     */
    record TapedAsked(SetPlan plan, List<MeasuredBody.TypedTape> tapes, @Nullable Side side) {}

    record TapedLandmark(PlanPoint point, Side side, Crossing crossing, double crossingDeg, Phrase positionError) {}

    record NamedSet(long id, String name) {}

    record Pacing(PlanPoint start, String text) {}

    record Paced(List<PlanPoint> points) {}

    @GetMapping("/api/sets/{setId}")
    SetPage get(@PathVariable long setId) {
        return new SetPage(sets.get(setId), drawing.scenesIn(setId));
    }

    @GetMapping("/api/productions/{productionId}/sets")
    List<NamedSet> ofProduction(@PathVariable long productionId) {
        return sets.ofProduction(productionId).stream()
                .map(s -> new NamedSet(s.id(), s.set().name()))
                .toList();
    }

    /** Points of a wall as it was paced out; nothing is kept by this. */
    @Asks
    @PostMapping("/api/sets/paces")
    Paced paced(@RequestBody Pacing asked) {
        return new Paced(Paces.from(asked.start(), asked.text()));
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.SET)
    @PutMapping("/api/sets/{setId}")
    ResponseEntity<DrawnSet> draw(
            @PathVariable long setId,
            @RequestBody StageSet set,
            @RequestParam(required = false) SetDrawing.@Nullable WhatWasTaped taped,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        return answer(drawing.draw(setId, set, IfMatch.version(ifMatch), taped, person.getName()));
    }

    /** A set for no scene yet. */
    @Needs(Permission.EDIT)
    @Changes({Topic.SET, Topic.BOOK})
    @PostMapping("/api/productions/{productionId}/sets")
    @ResponseStatus(HttpStatus.CREATED)
    NamedSet start(@PathVariable long productionId, @RequestBody NewSet body) {
        return new NamedSet(drawing.start(productionId, body), body.name());
    }

    /** A landmark by two tapes or more from others; nothing is kept by this. */
    @Asks
    @PostMapping("/api/sets/taped")
    TapedLandmark taped(@RequestBody TapedAsked asked) {
        SetPlan plan = asked.plan();
        Taped taped = Taped.of(
                MeasuredBody.TypedTape.tapes(asked.tapes(), plan),
                asked.side(),
                plan.landmarks(),
                plan.tapeWalls(),
                null);
        TapeFit fit = taped.fit();
        return new TapedLandmark(
                fit.point(), taped.side(), fit.crossing(), fit.crossingAngleDeg(), Phrase.width(fit.positionErrorM()));
    }

    /** A picture to scale by two points on it and the distance between them; nothing is kept by this. */
    @Asks
    @PostMapping("/api/sets/underlay")
    Underlay scaled(@RequestBody Scaling asked) {
        return asked.underlay()
                .scaled(
                        asked.first(),
                        asked.second(),
                        Length.parse(asked.distance()).metres());
    }

    private static ResponseEntity<DrawnSet> answer(DrawnSet set) {
        return ResponseEntity.ok().eTag(IfMatch.etag(set.version())).body(set);
    }
}
