package org.oblume.server.truck;

import java.security.Principal;
import java.util.List;
import org.oblume.core.units.Phrase;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What somebody is about to hang at a step of a rebuild, said by its tag or its name. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api/runs/{run}/steps/{placement}/named")
class NamedController {

    private final HungService hung;

    NamedController(HungService hung) {
        this.hung = hung;
    }

    /** @param named a tag, the name of a unit, of a cloth or of a filter */
    record NamedBody(String named) {}

    /**
     * @param instead what would be true if it were hung all the same; empty when it is right, or has no place there
     */
    record NamedAnswer(boolean right, String called, Phrase sentence, List<SubstituteController.Setting> instead) {}

    /** Whether it is what is recorded; when it is, it is kept on the step. */
    @Needs(Permission.NOTE)
    @Changes(Topic.RUNS)
    @PutMapping
    NamedAnswer named(
            @PathVariable("run") long runId,
            @PathVariable String placement,
            @RequestBody NamedBody body,
            Principal person) {
        return hung.named(runId, placement, body.named(), person.getName());
    }
}
