package org.oblume.server.inventory;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.oblume.core.kit.CountedStock;
import org.oblume.core.kit.KitSize;
import org.oblume.core.kit.KitUnit;
import org.oblume.core.kit.StockForm;
import org.oblume.core.kit.UnitSpan;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.CsvCell;
import org.oblume.server.support.CsvFile;

/** A kit in CSV, as docs/format/kit.md describes. */
final class KitFile {

    private static final String[] COLUMNS = {
        "tag",
        "name",
        "what",
        "form",
        "count",
        "width_m",
        "length_m",
        "area_mm2",
        "watt_hours",
        "case",
        "hired_until",
        "state",
        "from",
        "until",
        "note"
    };
    private static final int MOST_ROWS = 2000;

    private KitFile() {}

    /** One of the two. */
    record Row(@Nullable KitUnit unit, @Nullable CountedStock counted) {}

    /** @throws Refusal naming the line that is wrong */
    static List<Row> read(String csv) {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(CsvFile.between(csv))
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .setAllowMissingColumnNames(true)
                .get();
        refuseDoubledColumns(csv);
        Map<String, KitUnit> units = new LinkedHashMap<>();
        List<CountedStock> counted = new ArrayList<>();
        try (CSVParser parser = format.parse(new StringReader(csv))) {
            refuseOtherColumns(parser.getHeaderNames());
            for (CSVRecord row : parser) {
                long line = parser.getCurrentLineNumber();
                try {
                    if (cell(row, "tag") == null) {
                        add(counted, counted(row));
                    } else {
                        add(units, unit(row));
                    }
                } catch (Refusal wrong) {
                    throw new Refusal("Line %d: %s".formatted(line, wrong.getMessage()));
                }
                if (units.size() + counted.size() > MOST_ROWS) {
                    throw new Refusal(
                            "The table has more than %d rows: a kit is never that large.".formatted(MOST_ROWS));
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException noTable) {
            throw new Refusal("It is not CSV that can be read: save it from the spreadsheet as CSV in UTF-8.");
        }
        List<Row> all = new ArrayList<>();
        units.values().forEach(u -> all.add(new Row(u, null)));
        counted.forEach(c -> all.add(new Row(null, c)));
        if (all.isEmpty()) {
            throw new Refusal("The table has no rows under its header.");
        }
        return all;
    }

    private static void refuseDoubledColumns(String csv) {
        String head = csv.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
        List<String> names = Arrays.stream(head.split("[;,\t]"))
                .map(c -> c.replace("\"", "").strip())
                .filter(c -> !c.isEmpty())
                .toList();
        names.stream()
                .filter(n -> names.stream().filter(n::equals).count() > 1)
                .findFirst()
                .ifPresent(n -> {
                    throw new Refusal(
                            "The header has the column “%s” twice: take one of them out, so that no figure is lost."
                                    .formatted(n));
                });
    }

    private static void refuseOtherColumns(List<String> names) {
        List<String> known = List.of(COLUMNS);
        List<String> other =
                names.stream().filter(n -> !n.isBlank() && !known.contains(n)).toList();
        if (!names.contains("what") || !other.isEmpty()) {
            throw new Refusal("%sThe columns are %s."
                    .formatted(
                            other.isEmpty()
                                    ? "The header has no column “what”. "
                                    : "The column “%s” is none of these. ".formatted(other.get(0)),
                            String.join(", ", known)));
        }
    }

    /** Another row of a unit says another time that it is away. */
    private static void add(Map<String, KitUnit> units, KitUnit unit) {
        String key = KitUnit.tagKey(unit.tag());
        KitUnit before = units.get(key);
        if (before == null) {
            units.values().stream()
                    .filter(u -> u.name().equalsIgnoreCase(unit.name()))
                    .findFirst()
                    .ifPresent(u -> {
                        throw new Refusal("%s and %s are both called %s: give each its own name."
                                .formatted(u.tag(), unit.tag(), u.name()));
                    });
            units.put(key, unit);
            return;
        }
        if (!before.name().equals(unit.name())
                || !before.what().equals(unit.what())
                || unit.spans().isEmpty()) {
            throw new Refusal("The tag %s stands on %s and on %s: give each its own."
                    .formatted(unit.tag(), before.name(), unit.name()));
        }
        List<UnitSpan> spans = new ArrayList<>(before.spans());
        spans.addAll(unit.spans());
        units.put(
                key,
                new KitUnit(
                        before.tag(),
                        before.name(),
                        before.what(),
                        before.size(),
                        before.packedIn(),
                        before.hiredUntil(),
                        spans));
    }

    private static void add(List<CountedStock> counted, CountedStock item) {
        if (counted.stream().anyMatch(c -> c.isLike(item))) {
            throw new Refusal("%s stands twice in the table: put the numbers together."
                    .formatted(item.phrase().metric()));
        }
        counted.add(item);
    }

    private static KitUnit unit(CSVRecord row) {
        String tag = said(row, "tag");
        String name = cell(row, "name");
        return new KitUnit(
                tag,
                name == null ? tag : name,
                said(row, "what"),
                new KitSize(number(row, "width_m"), number(row, "length_m"), null, null),
                cell(row, "case"),
                date(row, "hired_until"),
                cell(row, "state") == null
                        ? List.of()
                        : List.of(new UnitSpan(
                                constant(UnitSpan.State.class, row, "state"),
                                dateSaid(row, "from"),
                                date(row, "until"),
                                cell(row, "note"))));
    }

    private static CountedStock counted(CSVRecord row) {
        return new CountedStock(
                said(row, "what"),
                cell(row, "form") == null ? StockForm.PIECE : constant(StockForm.class, row, "form"),
                new KitSize(
                        number(row, "width_m"),
                        number(row, "length_m"),
                        number(row, "area_mm2"),
                        number(row, "watt_hours")),
                whole(row, "count"),
                cell(row, "case"));
    }

    private static @Nullable String cell(CSVRecord row, String column) {
        if (!row.isMapped(column) || !row.isSet(column)) {
            return null;
        }
        String text = CsvCell.read(row.get(column)).strip();
        return text.isEmpty() ? null : text;
    }

    private static String said(CSVRecord row, String column) {
        String text = cell(row, column);
        if (text == null) {
            throw new Refusal("fill in the column “%s”.".formatted(column));
        }
        return text;
    }

    private static @Nullable Double number(CSVRecord row, String column) {
        String text = cell(row, column);
        try {
            return text == null ? null : Double.valueOf(text.replace(',', '.'));
        } catch (NumberFormatException none) {
            throw new Refusal("“%s” in the column “%s” is no number.".formatted(text, column));
        }
    }

    private static int whole(CSVRecord row, String column) {
        String text = said(row, column);
        try {
            return Integer.parseInt(text);
        } catch (NumberFormatException none) {
            throw new Refusal("“%s” in the column “%s” is no whole number.".formatted(text, column));
        }
    }

    private static @Nullable LocalDate date(CSVRecord row, String column) {
        String text = cell(row, column);
        try {
            return text == null ? null : LocalDate.parse(text);
        } catch (DateTimeParseException none) {
            throw new Refusal("“%s” in the column “%s” is no date: write it as 2026-11-19.".formatted(text, column));
        }
    }

    private static LocalDate dateSaid(CSVRecord row, String column) {
        LocalDate date = date(row, column);
        if (date == null) {
            throw new Refusal("say in the column “%s” from which day on.".formatted(column));
        }
        return date;
    }

    private static <E extends Enum<E>> E constant(Class<E> type, CSVRecord row, String column) {
        String text = said(row, column);
        try {
            return Enum.valueOf(type, text.toUpperCase(Locale.ROOT).replace(' ', '_'));
        } catch (IllegalArgumentException none) {
            throw new Refusal("“%s” in the column “%s” is none of %s."
                    .formatted(
                            text,
                            column,
                            Arrays.stream(type.getEnumConstants())
                                    .map(Enum::name)
                                    .collect(Collectors.joining(", "))));
        }
    }

    /** The same table again. */
    static String write(List<KitUnit> units, List<CountedStock> counted) {
        StringWriter csv = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(
                csv, CSVFormat.RFC4180.builder().setHeader(COLUMNS).get())) {
            for (KitUnit unit : units) {
                List<@Nullable UnitSpan> spans = new ArrayList<>(unit.spans());
                if (spans.isEmpty()) {
                    spans.add(null);
                }
                for (UnitSpan span : spans) {
                    printer.printRecord(
                            unit.tag(),
                            CsvCell.of(unit.name()),
                            CsvCell.of(unit.what()),
                            null,
                            null,
                            unit.size().widthM(),
                            unit.size().lengthM(),
                            null,
                            null,
                            CsvCell.of(unit.packedIn()),
                            unit.hiredUntil(),
                            span == null ? null : span.state(),
                            span == null ? null : span.from(),
                            span == null ? null : span.until(),
                            span == null ? null : CsvCell.of(span.note()));
                }
            }
            for (CountedStock item : counted) {
                printer.printRecord(
                        null,
                        null,
                        CsvCell.of(item.what()),
                        item.form(),
                        item.count(),
                        item.size().widthM(),
                        item.size().lengthM(),
                        item.size().areaMm2(),
                        item.size().wattHours(),
                        CsvCell.of(item.packedIn()),
                        null,
                        null,
                        null,
                        null,
                        null);
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return csv.toString();
    }
}
