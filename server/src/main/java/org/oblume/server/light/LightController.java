package org.oblume.server.light;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.say.Said;
import org.oblume.server.support.JsonText;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The light of a shot. Asking with no changes tells the light as it is recorded. */
@RestController("shotLightController")
@RequestMapping("/api/shots/{shotId}")
class LightController {

    private final LightService light;
    private final JsonText json;

    LightController(LightService light, JsonText json) {
        this.light = light;
        this.json = json;
    }

    /** A value as data, or as a person typed it; one of the two. */
    record Wish(String placement, Attribute attribute, @Schema(implementation = AttributeValue.class) @Nullable JsonNode value,
            @Nullable String text) {
    }

    record Try(List<Wish> changes, List<String> holds, List<String> out) {
    }

    record Line(String text) {
    }

    /** A change that is meant, to be tried. */
    record Meant(String placement, Attribute attribute, AttributeValue value) {

        static List<Meant> of(List<Change> changes) {
            return changes.stream().map(c -> new Meant(c.placement(), c.attribute(), c.value())).toList();
        }
    }

    /** @param problems what was not understood; nothing should be kept while there are any */
    record Understanding(List<Meant> changes, List<String> holds, List<Said.Problem> problems) {
    }

    record Arranging(LightService.Order order, List<String> placements) {
    }

    record Arranged(List<Meant> changes) {
    }

    @PostMapping("/light")
    TriedView light(@PathVariable long shotId, @RequestBody Try asked) {
        List<Change> changes = asked.changes().stream()
                .map(w -> new Change(w.placement(), json.value(w.attribute(), w.value(), w.text()))).toList();
        return light.tried(shotId, changes, asked.holds(), Set.copyOf(asked.out()));
    }

    @PostMapping("/say")
    Understanding say(@PathVariable long shotId, @RequestBody Line line) {
        Said said = light.said(shotId, line.text());
        return new Understanding(Meant.of(said.changes()), said.holds(), said.problems());
    }

    @PostMapping("/arrange")
    Arranged arrange(@PathVariable long shotId, @RequestBody Arranging asked) {
        return new Arranged(Meant.of(light.ordered(shotId, asked.order(), asked.placements())));
    }
}
