package org.oblume.server.rebuild;

import java.security.Principal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/shots/{shotId}/rebuild")
class RebuildController {

    private final RebuildService rebuild;

    RebuildController(RebuildService rebuild) {
        this.rebuild = rebuild;
    }

    @GetMapping
    RebuildView sheet(@PathVariable long shotId) {
        return rebuild.sheet(shotId);
    }

    @PutMapping("/{placement}")
    RebuildView tick(@PathVariable long shotId, @PathVariable String placement,
            Principal person) {
        rebuild.tick(shotId, placement, person.getName());
        return rebuild.sheet(shotId);
    }

    @DeleteMapping("/{placement}")
    RebuildView untick(@PathVariable long shotId, @PathVariable String placement) {
        rebuild.untick(shotId, placement);
        return rebuild.sheet(shotId);
    }
}
