package org.oblume.server.proof;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.proof.Drill;
import org.oblume.core.proof.Spread;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is wrong with a rebuild. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class ProofController {

    private final ProofService proof;
    private final DrillService drills;

    ProofController(ProofService proof, DrillService drills) {
        this.proof = proof;
        this.drills = drills;
    }

    @GetMapping("/runs/{id}/diagnosis")
    DiagnosisView diagnosis(@PathVariable long id) {
        return proof.diagnosis(id);
    }

    /** @param seen as it was when it was changed */
    public record SpreadChange(Spread seen, Spread spread) {}

    @Needs(Permission.EDIT)
    @Changes(Topic.MATCH)
    @PutMapping("/productions/{productionId}/spread")
    Spread keep(@PathVariable long productionId, @RequestBody SpreadChange body) {
        return proof.keep(productionId, body.seen(), body.spread());
    }

    /** @param seed with which the same is hidden again, or null */
    public record NewDrill(Drill.Difficulty difficulty, @Nullable Long seed) {}

    /** @param reading of what can be read, from 0 */
    public record DrillAsked(int reading) {}

    /** @param things keys of the lights that something is said to be wrong at */
    public record DrillAnswer(List<String> things) {}

    @PostMapping("/shots/{shotId}/drills")
    @ResponseStatus(HttpStatus.CREATED)
    DrillView begin(@PathVariable long shotId, @RequestBody NewDrill body) {
        return drills.begin(shotId, body.difficulty(), body.seed());
    }

    @PostMapping("/drills/{id}/readings")
    DrillView read(@PathVariable String id, @RequestBody DrillAsked body) {
        return drills.read(id, body.reading());
    }

    @PostMapping("/drills/{id}/answer")
    DrillView answer(@PathVariable String id, @RequestBody DrillAnswer body) {
        return drills.answer(id, Set.copyOf(body.things()));
    }
}
