package org.oblume.server.kit;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.GelColour;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.PlacementKind;
import org.springframework.stereotype.Service;

/** The kit that ships with the product: two CSV files, read once at the start. */
@Service
public class KitService {

    private static final CSVFormat TABLE = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();
    private final Kit kit;

    KitService() {
        kit = new Kit(rows("/kit/fixtures.csv", KitService::fixture), rows("/kit/stock.csv", KitService::modifier));
    }

    public Kit kit() {
        return kit;
    }

    private static <T> List<T> rows(String file, Function<CSVRecord, T> read) {
        try (Reader csv = new InputStreamReader(Objects.requireNonNull(KitService.class.getResourceAsStream(file)),
                StandardCharsets.UTF_8)) {
            return TABLE.parse(csv).stream().map(read).toList();
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

    private static Modifier modifier(CSVRecord row) {
        Double red = optional(row, "red");
        return new Modifier(row.get("name"), number(row, "stops"), number(row, "mired"), number(row, "duv"),
                Boolean.parseBoolean(row.get("softens")), null, null,
                red == null ? null : new GelColour(red, number(row, "green"), number(row, "blue")));
    }

    private static double number(CSVRecord row, String column) {
        return Double.parseDouble(row.get(column));
    }

    private static @Nullable Double optional(CSVRecord row, String column) {
        return row.get(column).isEmpty() ? null : Double.valueOf(row.get(column));
    }
}
