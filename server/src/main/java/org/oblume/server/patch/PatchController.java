package org.oblume.server.patch;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.AutoPatch;
import org.oblume.core.network.FreeSlots;
import org.oblume.core.plot.Patch;
import org.oblume.core.units.Checks;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.support.CsvFile;
import org.oblume.server.support.IfMatch;
import org.oblume.server.support.PayloadTooLargeException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The patch of a shot and the nodes that carry it. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class PatchController {

    private static final int LARGEST_MB = 1;
    private final PatchService patch;
    private final NodeService nodes;

    PatchController(PatchService patch, NodeService nodes) {
        this.patch = patch;
        this.nodes = nodes;
    }

    /**
     * @param universe and address: where the first goes
     * @param every addresses to begin at
     * @param keys units to patch; those on the network when left out
     */
    record PlanBody(AutoPatch.Order order, int universe, int address, int every, @Nullable List<String> keys) {

        PlanBody {
            Checks.within("universe", "Universe", universe, 1, Patch.LAST_UNIVERSE, "");
            Checks.within("address", "Address", address, 1, Patch.LAST_ADDRESS, "");
            keys = keys == null ? List.of() : List.copyOf(keys);
        }
    }

    @GetMapping("/shots/{shotId}/patch")
    PatchPage page(@PathVariable long shotId) {
        return patch.page(shotId);
    }

    /** What the addresses would be; nothing is kept by this. */
    @Asks
    @PostMapping("/shots/{shotId}/patch/plan")
    PatchPage.PatchPlan plan(@PathVariable long shotId, @RequestBody PlanBody body) {
        return patch.plan(
                shotId,
                body.order(),
                new FreeSlots.Spot(body.universe(), body.address()),
                body.every(),
                body.keys() == null ? List.of() : body.keys());
    }

    @GetMapping(path = "/shots/{shotId}/patch.csv", produces = "text/csv")
    ResponseEntity<String> table(@PathVariable long shotId) {
        return CsvFile.answer("patch.csv", patch.table(shotId));
    }

    /** What a table would change; nothing is kept by this. */
    @Asks
    @PostMapping(path = "/shots/{shotId}/patch/read", consumes = MediaType.ALL_VALUE)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    PatchPage.PatchPlan read(@PathVariable long shotId, InputStream body) throws IOException {
        return patch.read(
                shotId,
                CsvFile.text(PayloadTooLargeException.read(
                        body, LARGEST_MB, "The file is larger than %d MB: a patch is never that large.")));
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.NODES)
    @PostMapping("/productions/{productionId}/nodes")
    @ResponseStatus(HttpStatus.CREATED)
    PatchPage.KnownNode add(@PathVariable long productionId, @RequestBody PatchPage.NodeCard card) {
        return nodes.add(productionId, card);
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.NODES)
    @PutMapping("/nodes/{id}")
    PatchPage.KnownNode change(
            @PathVariable long id,
            @RequestBody PatchPage.NodeCard card,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return nodes.change(id, card, IfMatch.version(ifMatch));
    }

    @Needs(Permission.PATCH)
    @Changes(Topic.NODES)
    @DeleteMapping("/nodes/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(
            @PathVariable long id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        nodes.remove(id, IfMatch.version(ifMatch));
    }
}
