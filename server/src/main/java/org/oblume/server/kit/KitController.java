package org.oblume.server.kit;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.oblume.server.call.Asks;
import org.oblume.server.call.Changes;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.call.Topic;
import org.oblume.server.support.CsvFile;
import org.oblume.server.support.PayloadTooLargeException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@Needs(Permission.READ)
@RestController
@RequestMapping("/api/kit")
class KitController {

    private static final int LARGEST_MB = 2;
    private final KitService kit;

    KitController(KitService kit) {
        this.kit = kit;
    }

    @GetMapping
    Kit kit() {
        return kit.kit();
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.KIT)
    @PostMapping("/fixtures")
    @ResponseStatus(HttpStatus.CREATED)
    Kit.Fixture add(@RequestBody Kit.Fixture wanted) {
        return kit.add(wanted);
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.KIT)
    @DeleteMapping("/fixtures")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@RequestParam String what) {
        kit.remove(what);
    }

    /** Adds to the stock, or takes the place of what has that name. */
    @Needs(Permission.EDIT)
    @Changes(Topic.KIT)
    @PostMapping("/stock")
    @ResponseStatus(HttpStatus.CREATED)
    void stock(@RequestBody Kit.Stock item) {
        kit.stock(item.item());
    }

    @Needs(Permission.EDIT)
    @Changes(Topic.KIT)
    @DeleteMapping("/stock")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void unstock(@RequestParam String name) {
        kit.unstock(name);
    }

    @GetMapping(path = "/stock.csv", produces = "text/csv")
    ResponseEntity<String> stockCsv() {
        return CsvFile.answer("stock.csv", kit.stockCsv());
    }

    /** @param changed how many items are another than they were */
    record StockRead(int changed) {}

    /** Puts all items of a table into the stock, or none of them. */
    @Needs(Permission.EDIT)
    @Changes(Topic.KIT)
    @PostMapping(path = "/stock.csv", consumes = MediaType.ALL_VALUE)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    StockRead readStock(InputStream body) throws IOException {
        return new StockRead(kit.stock(CsvFile.text(PayloadTooLargeException.read(
                body, LARGEST_MB, "The file is larger than %d MB: a stock is never that large."))));
    }

    /** Reads a measured beam from an ANSI/IES LM-63 file; nothing is kept by this. */
    @Asks
    @PostMapping(path = "/beam", consumes = MediaType.ALL_VALUE)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content = @Content(schema = @Schema(type = "string", format = "binary")))
    PhotometricFile.MeasuredFixture beam(InputStream body) throws IOException {
        byte[] bytes = PayloadTooLargeException.read(
                body, LARGEST_MB, "The file is larger than %d MB: a measured beam is never that large.");
        return PhotometricFile.read(new String(bytes, StandardCharsets.ISO_8859_1));
    }
}
