package org.oblume.server.patch;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.PatchedUnit;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Patch;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.CsvCell;
import org.oblume.server.support.CsvFile;

/** A patch as CSV: a line for each light, with its name, its unit and where it listens. */
final class PatchTable {

    private static final String[] COLUMNS = {
        "name", "unit", "kind", "path", "universe", "address", "mode", "slots", "group"
    };
    private static final CSVFormat TABLE = CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .setIgnoreHeaderCase(true)
            .get();

    private PatchTable() {}

    /** What was understood, and a sentence for each line that was not. */
    record ReadPatches(Map<PatchedUnit, Patch> patches, List<String> problems) {}

    static String write(List<PatchedUnit> units) {
        StringWriter out = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(
                out, CSVFormat.RFC4180.builder().setHeader(COLUMNS).get())) {
            for (PatchedUnit unit : units) {
                Patch patch = unit.patch();
                csv.printRecord(
                        CsvCell.of(unit.placement().name()),
                        CsvCell.of(unit.placement().piece().unit()),
                        CsvCell.of(unit.placement().piece().what()),
                        patch.reachedBy().label(),
                        patch.universe(),
                        patch.address(),
                        CsvCell.of(patch.mode()),
                        unit.isPatched() ? (Integer) unit.slots() : patch.slots(),
                        CsvCell.of(patch.group()));
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toString();
    }

    /** @throws Refusal when it is no table of a patch at all */
    static ReadPatches read(String text, List<PatchedUnit> units) {
        Map<PatchedUnit, Patch> patches = new LinkedHashMap<>();
        List<String> problems = new ArrayList<>();
        CSVFormat table = TABLE.builder().setDelimiter(CsvFile.between(text)).get();
        try (CSVParser rows = table.parse(new StringReader(text))) {
            if (!rows.getHeaderMap().containsKey("name")) {
                throw new IllegalArgumentException("no names");
            }
            for (CSVRecord row : rows) {
                try {
                    if (!row.isConsistent()) {
                        throw new Refusal("it has %d cells, the first line %d."
                                .formatted(row.size(), rows.getHeaderNames().size()));
                    }
                    PatchedUnit unit = named(row, units);
                    if (patches.put(unit, patch(row, unit)) != null) {
                        throw new Refusal("%s stands in it twice: keep one line."
                                .formatted(unit.placement().name()));
                    }
                } catch (Refusal refusal) {
                    problems.add("Line %d: %s".formatted(row.getRecordNumber() + 1, refusal.getMessage()));
                }
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException unreadable) {
            throw new Refusal(
                    "file",
                    "This is not a patch as CSV. Take the patch out as CSV first, and edit that: its columns are %s."
                            .formatted(String.join(", ", COLUMNS)));
        }
        if (patches.isEmpty() && problems.isEmpty()) {
            throw new Refusal(
                    "file", "There is no light in this file: a line for each, under the names of the columns.");
        }
        return new ReadPatches(patches, problems);
    }

    private static PatchedUnit named(CSVRecord row, List<PatchedUnit> units) {
        String name = CsvCell.read(row.get("name"));
        String unit = row.isMapped("unit") ? CsvCell.read(row.get("unit")) : "";
        Optional<PatchedUnit> byName = units.stream()
                .filter(u -> u.placement().name().equalsIgnoreCase(name))
                .findFirst();
        return byName.or(() -> units.stream()
                        .filter(u -> u.unit().equalsIgnoreCase(unit))
                        .findFirst())
                .orElseThrow(() -> new Refusal("no light on set in this shot is called “%s”.".formatted(name)));
    }

    private static Patch patch(CSVRecord row, PatchedUnit unit) {
        Integer universe = number(row, "universe");
        String mode = text(row, "mode");
        Integer slots = number(row, "slots");
        if (slots == null && mode != null) {
            slots = unit.modes().stream()
                    .filter(m -> m.name().equalsIgnoreCase(mode))
                    .findFirst()
                    .map(m -> m.slots())
                    .orElse(null);
        }
        return new Patch(universe, number(row, "address"), slots, mode, path(text(row, "path")), text(row, "group"));
    }

    private static @Nullable ControlPath path(@Nullable String word) {
        if (word == null) {
            return null;
        }
        return Arrays.stream(ControlPath.values())
                .filter(p -> p.label().equals(word.toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> new Refusal(
                        "“%s” is not a way to reach a light: give wired, wireless, app or by hand.".formatted(word)));
    }

    private static @Nullable Integer number(CSVRecord row, String column) {
        String text = text(row, column);
        if (text == null) {
            return null;
        }
        if (!text.matches("\\d{1,5}")) {
            throw new Refusal("%s “%s” is not a whole number.".formatted(column, text));
        }
        return Integer.valueOf(text);
    }

    private static @Nullable String text(CSVRecord row, String column) {
        return !row.isMapped(column) || !row.isSet(column) || row.get(column).isBlank()
                ? null
                : CsvCell.read(row.get(column));
    }
}
