package org.oblume.server.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** What only one may be called within its owner: whoever comes later is called otherwise. */
final class OwnNames {

    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_NUMBER = 12;

    private final RecordRows here;
    private final Map<String, Set<String>> taken = new HashMap<>();

    OwnNames(RecordRows here) {
        this.here = here;
    }

    /** A name that had to become another one. */
    record Renamed(String column, String wanted, String other) {}

    /** Takes names of its own for a row, and writes those into it that had to become others. */
    List<Renamed> take(ArchiveTable table, ObjectNode row) {
        List<Renamed> renamed = new ArrayList<>();
        for (String column : table.own()) {
            Set<String> names = taken(table, column, row);
            String property = ArchiveColumns.property(column);
            JsonNode wanted = row.get(property);
            if (names.add(low(wanted))) {
                continue;
            }
            int next = 2;
            JsonNode other = wanted;
            while (!names.add(low(other))) {
                other = wanted.isNumber()
                        ? ArchiveJson.number(wanted.asInt() + (long) next - 1)
                        : TextNode.valueOf(numbered(wanted.asText(), next, column));
                next++;
            }
            row.set(property, other);
            renamed.add(new Renamed(column, wanted.asText(), other.asText()));
        }
        return renamed;
    }

    /** Lets go of what a row is called. */
    void free(ArchiveTable table, ObjectNode row) {
        table.own().forEach(column -> taken(table, column, row).remove(low(row.path(ArchiveColumns.property(column)))));
    }

    private static String numbered(String wanted, int number, String column) {
        boolean isShort = column.equals("slate") || column.equals("number");
        String end = (isShort || column.equals("placement_key") ? "-" : " ") + number;
        int longest = (isShort ? LONGEST_NUMBER : LONGEST_NAME) - end.length();
        return (wanted.length() > longest ? wanted.substring(0, longest) : wanted) + end;
    }

    private static String low(JsonNode name) {
        return name.asText().toLowerCase(Locale.ROOT);
    }

    private Set<String> taken(ArchiveTable table, String column, ObjectNode row) {
        return taken.computeIfAbsent(table.name() + column + owner(table, row), key -> {
            Set<String> names = new HashSet<>();
            here.rows(table).values().stream()
                    .filter(r -> owner(table, r).equals(owner(table, row)))
                    .forEach(r -> names.add(low(r.path(ArchiveColumns.property(column)))));
            return names;
        });
    }

    private static String owner(ArchiveTable table, ObjectNode row) {
        return table.owners().stream()
                .map(column -> row.path(ArchiveColumns.property(column)).asText())
                .collect(Collectors.joining(" "));
    }
}
