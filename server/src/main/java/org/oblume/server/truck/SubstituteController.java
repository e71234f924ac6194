package org.oblume.server.truck;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.moves.ChangePhrases;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.rebuild.Substitute;
import org.oblume.core.units.Phrase;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.rebuild.BuiltRun;
import org.oblume.server.rebuild.RebuildService;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What of the kit reaches the light of something that is missing in a rebuild. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api/runs/{run}/steps/{placement}/substitutes")
class SubstituteController {

    private final RebuildService rebuild;
    private final StandIns standIns;

    SubstituteController(RebuildService rebuild, StandIns standIns) {
        this.rebuild = rebuild;
        this.standIns = standIns;
    }

    /**
     * @param unit the crew's name of the free one, or null
     * @param settings what to dial and hang, in words
     */
    record Standin(
            String kind,
            @Nullable String unit,
            List<Setting> settings,
            double stops,
            double mired,
            double duv,
            double softness,
            boolean reaches,
            List<String> givenUp) {}

    record Setting(Attribute attribute, String label, AttributeValue value, Phrase words) {}

    record Standins(List<Standin> substitutes) {}

    /**
     * @param unit whether the unit itself is missing
     * @param missing names of filters that are
     */
    @GetMapping
    Standins substitutes(
            @PathVariable("run") long runId,
            @PathVariable String placement,
            @RequestParam boolean unit,
            @RequestParam(defaultValue = "") List<String> missing) {
        BuiltRun run = rebuild.asRecorded(runId, placement);
        return new Standins(standIns.of(run, placement, unit, Set.copyOf(missing)).stream()
                .map(s -> standin(run.built().scene(), s))
                .toList());
    }

    private static Standin standin(SceneRecord scene, Substitute found) {
        return new Standin(
                found.piece().what(),
                found.piece().unit(),
                settings(scene, found.values()),
                found.stops(),
                found.mired(),
                found.duv(),
                found.softness(),
                found.reaches(),
                found.givenUp());
    }

    static List<Setting> settings(SceneRecord scene, List<AttributeValue> values) {
        return values.stream()
                .map(v -> new Setting(Attribute.of(v), Attribute.of(v).label(), v, ChangePhrases.say(scene, v)))
                .toList();
    }
}
