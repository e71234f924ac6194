package org.oblume.server.kit;

import java.io.Reader;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.GelColour;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.units.Refusal;

/** Filters, cloths and bounces in CSV, as docs/format/stock.md describes. */
final class StockFile {

    private StockFile() {}

    /** @throws Refusal naming the line that is wrong */
    static List<StockItem> read(Reader csv) {
        return KitService.rows(csv, row -> {
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
                row.get("name"),
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

    private static @Nullable String text(CSVRecord row, String column) {
        return row.get(column).isBlank() ? null : row.get(column);
    }

    private static String sentence(IllegalArgumentException wrong) {
        return wrong instanceof Refusal
                ? String.valueOf(wrong.getMessage())
                : "%s. Give a number with a point where one is wanted, and one of these kinds: %s."
                        .formatted(wrong.getMessage(), Arrays.toString(StockKind.values()));
    }
}
