package org.oblume.server.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;
import org.oblume.server.archive.ArchiveColumns.Columns;
import org.oblume.server.archive.ArchiveColumns.KeptAs;
import org.oblume.server.archive.ArchiveColumns.KeptColumn;
import org.oblume.server.archive.MergePlan.Act;
import org.oblume.server.archive.MergePlan.MergeStep;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;

/** Writes rows of an archive into this database: what they name by uid is named by id here. Of one transaction. */
final class RecordWriter {

    private static final int AT_ONCE = 500;
    private static final String NO_UID = "";

    private final JdbcTemplate sql;
    private final ArchiveColumns columns;
    private final ArchiveFile file;
    private final Runnable oneDone;
    /** By table and uid. */
    private final Map<String, Map<String, Long>> ids = new HashMap<>();

    private final List<Late> lates = new ArrayList<>();

    /** A column that names what was not there yet. */
    private record Late(Columns of, KeptColumn column, String identity, ObjectNode row) {}

    /** @param oneDone told of each row and picture */
    RecordWriter(JdbcTemplate sql, ArchiveColumns columns, ArchiveFile file, Runnable oneDone) {
        this.sql = sql;
        this.columns = columns;
        this.file = file;
        this.oneDone = oneDone;
    }

    /** @throws Refusal when a row cannot be kept */
    void apply(MergePlan plan) throws IOException {
        Map<String, List<MergeStep>> byTable = plan.steps().stream()
                .collect(Collectors.groupingBy(s -> s.table().name()));
        for (ArchiveTable table : ArchiveTables.ALL) {
            List<ObjectNode> added = new ArrayList<>();
            byTable.getOrDefault(table.name(), List.of()).stream()
                    .filter(s -> s.act() == Act.ADD)
                    .forEach(s -> added.add(s.row()));
            if (table.name().equals(RecordRows.CHANGES)) {
                file.each(table, event -> {
                    ObjectNode change = plan.change(event);
                    if (change != null) {
                        added.add(change);
                    }
                    if (added.size() == AT_ONCE) {
                        add(table, added);
                        added.clear();
                    }
                });
            }
            add(table, added);
            byTable.getOrDefault(table.name(), List.of()).stream()
                    .filter(s -> s.act() == Act.CHANGE)
                    .forEach(s -> change(table, s.identity(), s.row(), s.columns()));
        }
        for (Late late : lates) {
            change(late.of().table(), late.identity(), late.row(), List.of(late.column()));
        }
        for (int i = ArchiveTables.ALL.size() - 1; i >= 0; i--) {
            Columns of = columns.of(ArchiveTables.ALL.get(i).name());
            byTable.getOrDefault(of.table().name(), List.of()).stream()
                    .filter(s -> s.act() == Act.TAKE_OUT)
                    .forEach(s -> guarded(
                            of.table(),
                            () -> sql.update(
                                    "delete from %s where %s = ?"
                                            .formatted(of.table().name(), of.primary()),
                                    id(of, s.identity()))));
        }
    }

    /** Adds rows, in their order. */
    void add(ArchiveTable table, List<ObjectNode> rows) {
        Columns of = columns.of(table.name());
        List<String> names = Stream.concat(
                        of.all().stream().map(KeptColumn::name), of.counted() ? Stream.of("version") : Stream.empty())
                .toList();
        String insert = "insert into %s (%s) values (%s)"
                .formatted(
                        table.name(),
                        String.join(", ", names),
                        names.stream().map(n -> "?").collect(Collectors.joining(", ")));
        int atOnce = of.bytes().isEmpty() ? AT_ONCE : 1;
        for (int from = 0; from < rows.size(); from += atOnce) {
            List<Object[]> batch = rows.subList(from, Math.min(rows.size(), from + atOnce)).stream()
                    .map(row -> values(of, row))
                    .toList();
            guarded(table, () -> sql.batchUpdate(insert, batch));
            batch.forEach(b -> oneDone.run());
        }
        if (!rows.isEmpty()) {
            ids.remove(table.name());
        }
    }

    /** Adds a row, or writes it over the one that is there. */
    void put(ArchiveTable table, ObjectNode row, @Nullable ObjectNode over) {
        if (over == null) {
            add(table, List.of(row));
        } else {
            Columns of = columns.of(table.name());
            change(
                    table,
                    ArchiveJson.required(over, of.identity()),
                    row,
                    of.all().stream().filter(c -> c.keptAs() != KeptAs.UID).toList());
        }
    }

    private void change(ArchiveTable table, String identity, ObjectNode row, List<KeptColumn> changed) {
        Columns of = columns.of(table.name());
        List<@Nullable Object> values = new ArrayList<>();
        changed.forEach(c -> values.add(value(of, c, row, true)));
        values.add(id(of, identity));
        guarded(
                table,
                () -> sql.update(
                        "update %s set %s%s where %s = ?"
                                .formatted(
                                        table.name(),
                                        changed.stream()
                                                .map(c -> c.name() + " = ?")
                                                .collect(Collectors.joining(", ")),
                                        of.counted() ? ", version = version + 1" : "",
                                        of.primary()),
                        values.toArray()));
        oneDone.run();
    }

    /** What the database does not take is told by what it is of. */
    private static void guarded(ArchiveTable table, Runnable write) {
        try {
            write.run();
        } catch (DataIntegrityViolationException refused) {
            throw new Refusal(
                    "file",
                    "Some of its %s cannot be kept: they say too much, too little or the same twice. Nothing was kept."
                            .formatted(table.said()));
        }
    }

    private @Nullable Object[] values(Columns of, ObjectNode row) {
        List<@Nullable Object> all = new ArrayList<>();
        for (KeptColumn column : of.all()) {
            boolean late = of.table().late().contains(column.name());
            if (late && row.hasNonNull(column.property())) {
                lates.add(new Late(of, column, ArchiveJson.required(row, of.identity()), row));
            }
            all.add(value(of, column, row, !late));
        }
        if (of.counted()) {
            all.add(0L);
        }
        return all.toArray();
    }

    /** @param whole whether what it names is there by now */
    private @Nullable Object value(Columns of, KeptColumn column, ObjectNode row, boolean whole) {
        @Nullable JsonNode node = row.get(column.property());
        if (column.keptAs() == KeptAs.EVENT) {
            return node == null || node.isNull() ? 0L : id(columns.of(RecordRows.CHANGES), node.asText());
        }
        if (node == null || node.isNull()) {
            if (column.required()) {
                throw new Refusal(
                        "file",
                        "Some of its %s lack “%s”. Nothing was kept."
                                .formatted(of.table().said(), column.property()));
            }
            return null;
        }
        try {
            return switch (column.keptAs()) {
                case TEXT -> node.asText();
                case WHOLE -> number(node).longValueExact();
                case DECIMAL -> number(node).doubleValue();
                case FLAG -> node.booleanValue();
                case TIME -> Instant.parse(node.asText()).atOffset(ZoneOffset.UTC);
                case UID -> UUID.fromString(node.asText());
                case BYTES -> file.picture(node.asText(), column.longest());
                case JSON -> json(of.table(), column, node, whole);
                case NAMED -> named(node.asText());
                case ROW -> whole ? id(columns.of(Objects.requireNonNull(column.rowOf())), node.asText()) : null;
                case EVENT -> throw new IllegalStateException();
            };
        } catch (Refusal told) {
            throw told;
        } catch (ArithmeticException | DateTimeException | IllegalArgumentException | IOException wrong) {
            throw new Refusal(
                    "file",
                    "“%s” of its %s cannot be %s. Nothing was kept."
                            .formatted(column.property(), of.table().said(), node));
        }
    }

    private static BigDecimal number(JsonNode node) {
        if (!node.isNumber()) {
            throw new IllegalArgumentException();
        }
        return node.decimalValue();
    }

    private String json(ArchiveTable table, KeptColumn column, JsonNode node, boolean whole) {
        JsonNode tree = node.deepCopy();
        table.jsonRefs().forEach((path, rowOf) -> {
            String[] parts = path.split("\\.");
            if (!parts[0].equals(column.name())
                    || !(RecordReader.parent(tree, parts) instanceof ObjectNode parent)
                    || !parent.path(parts[parts.length - 1]).isTextual()) {
                return;
            }
            String last = parts[parts.length - 1];
            Long id = whole ? ids(columns.of(rowOf)).get(parent.get(last).asText()) : null;
            if (id != null) {
                parent.put(last, id);
            } else if (parts.length > 2 && tree instanceof ObjectNode top) {
                top.remove(parts[1]); // without what it lies on, the picture is none
            } else {
                parent.remove(last);
            }
        });
        return tree.toString();
    }

    private String named(String text) {
        Matcher parts = RecordReader.NAMED.matcher(text);
        if (!parts.matches()) {
            return text;
        }
        return parts.group(1) + "-" + id(columns.of(RecordReader.table(parts.group(1))), parts.group(2));
    }

    long id(Columns of, String identity) {
        Long id = ids(of).get(identity);
        if (id == null) {
            throw new Refusal(
                    "file",
                    "Its %s name one that is not in it. Nothing was kept."
                            .formatted(of.table().said()));
        }
        return id;
    }

    private Map<String, Long> ids(Columns of) {
        return ids.computeIfAbsent(of.table().name(), name -> {
            Map<String, Long> all = new HashMap<>();
            if (of.hasUid()) {
                sql.query("select uid, %s from %s".formatted(of.primary(), name), rows -> {
                    all.put(rows.getObject(1, UUID.class).toString(), rows.getLong(2));
                });
            } else {
                KeptColumn owner = of.of(of.table().key().get(0));
                Map<String, Long> owners = ids(columns.of(Objects.requireNonNull(owner.rowOf())));
                Map<Long, String> byId = new HashMap<>();
                owners.forEach((uid, id) -> byId.put(id, uid));
                sql.query("select %s, %s from %s".formatted(owner.name(), of.primary(), name), rows -> {
                    all.put(byId.getOrDefault(rows.getLong(1), NO_UID), rows.getLong(2));
                });
            }
            return all;
        });
    }
}
