package org.oblume.server.archive;

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
class ArchiveController {

    private final ArchiveService archive;

    ArchiveController(ArchiveService archive) {
        this.archive = archive;
    }

    @GetMapping("/api/archive")
    ArchiveService.Safety safety() {
        return archive.safety();
    }

    /** A copy that was made. */
    record Made(Instant begun, @Nullable String problem) {}

    @Changes(Topic.ARCHIVE)
    @Needs(Permission.LEAD)
    @PostMapping("/api/archive/copies")
    Made copy() {
        try {
            Instant begun = archive.copyNow();
            return new Made(begun, archive.safety().problem());
        } catch (IOException failed) {
            throw new Refusal("No copy was made: %s. See that the disk has room.".formatted(failed.getMessage()));
        }
    }
}
