package org.oblume.server.inventory;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import java.security.Principal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.kit.CountedStock;
import org.oblume.core.kit.KitUnit;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.inventory.InventoryViews.EarlierCounted;
import org.oblume.server.inventory.InventoryViews.EarlierUnit;
import org.oblume.server.inventory.InventoryViews.InventoryView;
import org.oblume.server.inventory.InventoryViews.KitFileRead;
import org.oblume.server.inventory.InventoryViews.ScannedUnits;
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

/** The kit of a production: its units and its counted stock. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class InventoryController {

    private static final int LARGEST_MB = 2;
    private final InventoryService inventory;

    InventoryController(InventoryService inventory) {
        this.inventory = inventory;
    }

    @GetMapping("/productions/{productionId}/kit")
    InventoryView kit(@PathVariable long productionId) {
        return inventory.view(productionId);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.INVENTORY)
    @PostMapping("/productions/{productionId}/kit/units")
    @ResponseStatus(HttpStatus.CREATED)
    void add(@PathVariable long productionId, @RequestBody KitUnit unit) {
        inventory.add(productionId, unit);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.INVENTORY)
    @PutMapping("/productions/{productionId}/kit/units/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(
            @PathVariable long productionId,
            @PathVariable long id,
            @RequestBody KitUnit unit,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        inventory.change(productionId, id, unit, IfMatch.version(ifMatch), person.getName());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.INVENTORY)
    @DeleteMapping("/productions/{productionId}/kit/units/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long productionId, @PathVariable long id) {
        inventory.remove(productionId, id);
    }

    /** What was said of a unit before, the latest first. */
    @GetMapping("/productions/{productionId}/kit/units/{id}/earlier")
    List<EarlierUnit> earlierUnits(@PathVariable long productionId, @PathVariable long id) {
        return inventory.earlierUnits(productionId, id);
    }

    record TakenUp(int units) {}

    /** Takes up the units that shots name. */
    @Needs(Permission.EDIT)
    @Changes(Topic.INVENTORY)
    @PostMapping("/productions/{productionId}/kit/named")
    TakenUp takeUp(@PathVariable long productionId) {
        return new TakenUp(inventory.takeUp(productionId));
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.INVENTORY)
    @PostMapping("/productions/{productionId}/kit/counted")
    @ResponseStatus(HttpStatus.CREATED)
    void count(@PathVariable long productionId, @RequestBody CountedStock item) {
        inventory.count(productionId, item);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.INVENTORY)
    @PutMapping("/productions/{productionId}/kit/counted/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void recount(
            @PathVariable long productionId,
            @PathVariable long id,
            @RequestBody CountedStock item,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch,
            Principal person) {
        inventory.recount(productionId, id, item, IfMatch.version(ifMatch), person.getName());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.INVENTORY)
    @DeleteMapping("/productions/{productionId}/kit/counted/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void uncount(@PathVariable long productionId, @PathVariable long id) {
        inventory.uncount(productionId, id);
    }

    /** How something was counted before, the latest first. */
    @GetMapping("/productions/{productionId}/kit/counted/{id}/earlier")
    List<EarlierCounted> earlierCounted(@PathVariable long productionId, @PathVariable long id) {
        return inventory.earlierCounted(productionId, id);
    }

    record LabelAddress(String address) {}

    /** What the labels lead to. */
    @Needs(Permission.EDIT)
    @Changes(Topic.INVENTORY)
    @PutMapping("/productions/{productionId}/kit/address")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void address(@PathVariable long productionId, @RequestBody LabelAddress said) {
        inventory.address(productionId, said.address());
    }

    @GetMapping(path = "/productions/{productionId}/kit.csv", produces = "text/csv")
    ResponseEntity<String> csv(@PathVariable long productionId) {
        return CsvFile.answer("kit.csv", inventory.csv(productionId));
    }

    /** What a table would change; nothing is kept by this. */
    @Asks
    @PostMapping(path = "/productions/{productionId}/kit-file", consumes = MediaType.ALL_VALUE)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    KitFileRead preview(@PathVariable long productionId, InputStream body) throws IOException {
        return inventory.preview(productionId, text(body));
    }

    /** Keeps all that a table says, or nothing of it. */
    @Needs(Permission.EDIT)
    @Changes(Topic.INVENTORY)
    @PostMapping(path = "/productions/{productionId}/kit.csv", consumes = MediaType.ALL_VALUE)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    KitFileRead keep(@PathVariable long productionId, InputStream body, Principal person) throws IOException {
        return inventory.keep(productionId, text(body), person.getName());
    }

    private static String text(InputStream body) throws IOException {
        return CsvFile.text(PayloadTooLargeException.read(
                body, LARGEST_MB, "The file is larger than %d MB: a kit is never that large."));
    }

    /** What a tag is on, in whichever production. */
    @GetMapping("/units/{tag}")
    ScannedUnits scanned(@PathVariable String tag) {
        return new ScannedUnits(inventory.scanned(tag));
    }
}
