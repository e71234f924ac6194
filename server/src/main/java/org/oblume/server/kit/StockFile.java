package org.oblume.server.kit;

import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.GelColour;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.CsvCell;
import org.oblume.server.support.CsvFile;

/** Filters, cloths and bounces in CSV, as docs/format/stock.md describes. */
final class StockFile {

    private static final String[] COLUMNS = {
        "name",
        "kind",
        "stops",
        "mired",
        "duv",
        "softness",
        "reflectance",
        "red",
        "green",
        "blue",
        "heat",
        "narrows_deg"
    };

    private StockFile() {}

    /** As a spreadsheet wrote it. */
    static List<StockItem> read(String csv) {
        return read(new StringReader(csv), CsvFile.between(csv));
    }

    static List<StockItem> read(Reader csv) {
        return read(csv, ',');
    }

    /** @throws Refusal naming the line that is wrong */
    private static List<StockItem> read(Reader csv, char between) {
        return KitService.rows(csv, between, row -> {
            try {
                return item(row);
            } catch (IllegalArgumentException wrong) {
                throw new Refusal(
                        "stock.csv, line %d: %s".formatted(row.getParser().getCurrentLineNumber(), sentence(wrong)));
            }
        });
    }

    private static StockItem item(CSVRecord row) {
        Double red = KitService.optional(row, "red");
        return new StockItem(
                CsvCell.read(row.get("name")),
                StockKind.valueOf(row.get("kind")),
                FilterEffect.of(
                        KitService.number(row, "mired"),
                        KitService.number(row, "stops"),
                        KitService.number(row, "duv")),
                KitService.number(row, "softness"),
                KitService.optional(row, "reflectance"),
                text(row, "heat"),
                red == null
                        ? null
                        : new GelColour(red, KitService.number(row, "green"), KitService.number(row, "blue")),
                row.isMapped("narrows_deg") ? KitService.optional(row, "narrows_deg") : null);
    }

    /** The same table again. */
    static String write(List<StockItem> items) {
        StringWriter csv = new StringWriter();
        CSVFormat format = CSVFormat.RFC4180.builder().setHeader(COLUMNS).get();
        try (CSVPrinter printer = new CSVPrinter(csv, format)) {
            for (StockItem item : items) {
                GelColour gel = item.gel();
                printer.printRecord(
                        CsvCell.of(item.name()),
                        item.kind(),
                        item.effect().stops().value(),
                        item.effect().mired().value(),
                        item.effect().duv(),
                        item.softness(),
                        item.reflectance(),
                        gel == null ? null : gel.red(),
                        gel == null ? null : gel.green(),
                        gel == null ? null : gel.blue(),
                        CsvCell.of(item.heat()),
                        item.narrowsToDeg());
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return csv.toString();
    }

    private static @Nullable String text(CSVRecord row, String column) {
        return row.get(column).isBlank() ? null : CsvCell.read(row.get(column));
    }

    private static String sentence(IllegalArgumentException wrong) {
        return wrong instanceof Refusal
                ? String.valueOf(wrong.getMessage())
                : "%s. Give a number with a point where one is wanted, and one of these kinds: %s."
                        .formatted(wrong.getMessage(), Arrays.toString(StockKind.values()));
    }
}
