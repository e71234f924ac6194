package org.oblume.server.kit;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.oblume.core.filter.StockItem;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** The kit that ships with the product, and what a crew adds to its stock in {@code stock.csv} in the data folder; read once at the start. */
@Service
public class KitService {

    static final CSVFormat TABLE = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();
    private static final Logger LOG = LoggerFactory.getLogger(KitService.class);
    private static final String OWN_STOCK = "stock.csv";
    private final Kit kit;

    KitService(@Value("${oblume.data}") Path data) {
        Map<String, StockItem> stock = new LinkedHashMap<>();
        StockFile.read(shipped("/kit/stock.csv")).forEach(item -> stock.put(item.name(), item));
        String problem = addOwn(data.resolve(OWN_STOCK), stock);
        kit = new Kit(rows(shipped("/kit/fixtures.csv"), KitService::fixture), stock.values().stream().map(Kit.Stock::of).toList(),
                problem);
    }

    public Kit kit() {
        return kit;
    }

    /** Adds a crew's own items. @return what is wrong with their file, of which nothing is taken then; null when all is well */
    private static @Nullable String addOwn(Path file, Map<String, StockItem> stock) {
        if (!Files.isReadable(file)) {
            return null;
        }
        try {
            StockFile.read(text(file)).forEach(item -> stock.put(item.name(), item));
            return null;
        } catch (Refusal | UncheckedIOException wrong) {
            String problem = "Your own stock is not used. %s Mend %s and start again.".formatted(
                    wrong instanceof Refusal ? wrong.getMessage() : "It is not CSV that can be read.", file);
            LOG.warn(problem);
            return problem;
        }
    }

    private static Reader shipped(String file) {
        return new InputStreamReader(Objects.requireNonNull(KitService.class.getResourceAsStream(file)), StandardCharsets.UTF_8);
    }

    private static Reader text(Path file) {
        try {
            return Files.newBufferedReader(file);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    static <T> List<T> rows(Reader csv, Function<CSVRecord, T> read) {
        try (csv) {
            List<T> rows = new ArrayList<>();
            for (CSVRecord row : TABLE.parse(csv)) {
                rows.add(read.apply(row));
            }
            return rows;
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static Kit.Fixture fixture(CSVRecord row) {
        return new Kit.Fixture(PlacementKind.valueOf(row.get("kind")),
                new Piece(row.get("what"), null, number(row, "width_m"), optional(row, "lowest_kelvin"),
                        optional(row, "highest_kelvin"), number(row, "watts"), Mount.valueOf(row.get("mount"))),
                number(row, "beam_deg"));
    }

    static double number(CSVRecord row, String column) {
        return Double.parseDouble(row.get(column));
    }

    static @Nullable Double optional(CSVRecord row, String column) {
        return row.get(column).isEmpty() ? null : Double.valueOf(row.get(column));
    }
}
