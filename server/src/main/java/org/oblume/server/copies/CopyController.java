package org.oblume.server.copies;

import java.io.IOException;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** How safe the record is against the loss of this machine. */
@Needs(Permission.READ)
@RestController
class CopyController {

    private final CopyService copies;

    CopyController(CopyService copies) {
        this.copies = copies;
    }

    @GetMapping("/api/copies")
    CopyService.Safety safety() {
        return copies.safety();
    }

    /** A copy that was made. */
    record Made(Instant begun, @Nullable String problem) {}

    @Changes(Topic.COPIES)
    @Needs(Permission.LEAD)
    @PostMapping("/api/copies")
    Made copy() {
        try {
            Instant begun = copies.copyNow();
            return new Made(begun, copies.safety().problem());
        } catch (IOException failed) {
            throw new Refusal("No copy was made: %s. See that the disk has room.".formatted(failed.getMessage()));
        }
    }
}
