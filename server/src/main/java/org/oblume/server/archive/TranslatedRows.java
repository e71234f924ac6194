package org.oblume.server.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Matcher;
import org.jspecify.annotations.Nullable;
import org.oblume.server.archive.ArchiveColumns.KeptAs;
import org.oblume.server.archive.ArchiveColumns.KeptColumn;

/** Rows of an archive, naming what they are of as this record does. */
final class TranslatedRows {

    /** Properties of JSON in which the key of a thing stands. */
    private static final Set<String> KEYS = Set.of("mark", "alone", "placement", "aimOf");

    private final ArchiveColumns columns;
    private final RecordRows rows;
    /** Rows of the archive that are called otherwise here. */
    private final Map<String, String> alias = new HashMap<>();

    private final Set<String> leftOut = new HashSet<>();
    private final Map<String, String> sceneOf = new HashMap<>();
    private final Map<String, Map<String, String>> keysOf = new HashMap<>();

    TranslatedRows(ArchiveColumns columns) {
        this.columns = columns;
        this.rows = new RecordRows(columns);
    }

    /** Those that were added. */
    RecordRows rows() {
        return rows;
    }

    void add(ArchiveTable table, ObjectNode row) {
        rows.add(table, row);
    }

    /** A row that stays out, and with it what is of it. */
    void leaveOut(String identity) {
        leftOut.add(identity);
    }

    /** A row of the archive that is here, by another identity. */
    void isHereAs(String identity, String own) {
        alias.put(identity, own);
    }

    /** Identities here of rows that the archive calls otherwise. */
    Set<String> aliases() {
        return Set.copyOf(alias.values());
    }

    /** A thing of a scene had to get another key. */
    void isKeyed(String scene, String key, String other) {
        keysOf.computeIfAbsent(scene, s -> new HashMap<>()).put(key, other);
    }

    /** Null when what it is of stays out. */
    @Nullable
    ObjectNode of(ArchiveTable table, ObjectNode raw) {
        ObjectNode row = raw.deepCopy();
        for (KeptColumn column : columns.of(table.name()).all()) {
            String text = ArchiveJson.text(row, column.property());
            if (text == null) {
                continue;
            }
            if (column.keptAs() == KeptAs.ROW) {
                if (leftOut.contains(text)) {
                    if (column.required() || table.owners().contains(column.name())) {
                        return null;
                    }
                    row.remove(column.property());
                } else if (alias.containsKey(text)) {
                    row.put(column.property(), alias.get(text));
                }
            } else if (column.keptAs() == KeptAs.NAMED) {
                Matcher parts = RecordReader.NAMED.matcher(text);
                if (parts.matches() && alias.containsKey(parts.group(2))) {
                    row.put(column.property(), parts.group(1) + "-" + alias.get(parts.group(2)));
                }
            }
        }
        withKeys(table, row);
        return row;
    }

    /** Where a thing had to get another key, it is called so by all that names it. */
    private void withKeys(ArchiveTable table, ObjectNode row) {
        String scene = table.name().equals("scene")
                ? ArchiveJson.required(row, "uid")
                : table.owners().stream()
                        .map(column -> ArchiveJson.text(row, ArchiveColumns.property(column)))
                        .filter(Objects::nonNull)
                        .map(owner -> sceneOf.getOrDefault(owner, ""))
                        .findFirst()
                        .orElse("");
        if (row.hasNonNull("uid")) {
            sceneOf.put(row.get("uid").asText(), scene);
        }
        Map<String, String> keys = keysOf.getOrDefault(scene, Map.of());
        if (keys.isEmpty()) {
            return;
        }
        table.json().forEach(column -> rename(row.path(ArchiveColumns.property(column)), keys));
    }

    private static void rename(JsonNode tree, Map<String, String> keys) {
        if (tree instanceof ArrayNode array) {
            array.forEach(one -> rename(one, keys));
        }
        if (tree instanceof ObjectNode object) {
            object.properties().forEach(entry -> {
                String to = entry.getValue().isTextual() && KEYS.contains(entry.getKey())
                        ? keys.get(entry.getValue().asText())
                        : null;
                if (to != null) {
                    entry.setValue(TextNode.valueOf(to));
                } else {
                    rename(entry.getValue(), keys);
                }
            });
        }
    }
}
