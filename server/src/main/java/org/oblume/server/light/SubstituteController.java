package org.oblume.server.light;

import java.util.List;
import java.util.Set;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.moves.ChangePhrases;
import org.oblume.core.photometry.Calibration;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.rebuild.Substitute;
import org.oblume.core.rebuild.Substitutes;
import org.oblume.core.units.Phrase;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.kit.Kit;
import org.oblume.server.kit.KitService;
import org.oblume.server.metering.LightCalibrations;
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
    private final LightCalibrations calibrations;
    private final KitService kit;

    SubstituteController(RebuildService rebuild, LightCalibrations calibrations, KitService kit) {
        this.rebuild = rebuild;
        this.calibrations = calibrations;
        this.kit = kit;
    }

    /** @param settings what to dial and hang, in words */
    record Standin(
            String kind,
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
        Placement light = run.built().scene().placement(placement);
        List<Piece> units = unit
                ? kit.fixtures().stream()
                        .filter(f -> f.kind().isLight())
                        .map(Kit.Fixture::piece)
                        .filter(p -> !p.what().equals(light.piece().what()))
                        .toList()
                : List.of(light.piece());
        Calibration found = calibrations.of(run.record()).getOrDefault(placement, Calibration.NONE);
        return new Standins(
                Substitutes.of(run.built(), placement, found, Set.copyOf(missing), units, kit.stock()).stream()
                        .map(s -> standin(run.built().scene(), s))
                        .toList());
    }

    private static Standin standin(SceneRecord scene, Substitute found) {
        return new Standin(
                found.piece().what(),
                found.values().stream()
                        .map(v -> new Setting(Attribute.of(v), Attribute.of(v).label(), v, ChangePhrases.say(scene, v)))
                        .toList(),
                found.stops(),
                found.mired(),
                found.duv(),
                found.softness(),
                found.reaches(),
                found.givenUp());
    }
}
