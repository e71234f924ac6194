package org.oblume.server.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BiConsumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.server.archive.ArchiveColumns.Columns;
import org.oblume.server.archive.ArchiveColumns.KeptAs;
import org.oblume.server.archive.ArchiveColumns.KeptColumn;
import org.springframework.jdbc.core.JdbcTemplate;

/** Rows of one production as an archive has them: what they name is named by its uid. Of one transaction. */
final class RecordReader {

    static final Pattern NAMED = Pattern.compile("(shot|look|run)-([0-9a-f-]+)");
    private static final Map<String, String> TABLE_OF_KIND =
            Map.of("shot", "shot", "look", "look", "run", "rebuild_run");

    private final JdbcTemplate sql;
    private final ArchiveColumns columns;
    private final RecordScope scope;
    private final Map<String, Map<Long, String>> uids = new HashMap<>();
    private @Nullable TreeMap<Long, String> events;

    RecordReader(JdbcTemplate sql, ArchiveColumns columns, long production) {
        this.sql = sql;
        this.columns = columns;
        this.scope = new RecordScope(columns, ArchiveTable.ROOT, production);
    }

    /** Each row in the order in which it was made, with its id in this database. */
    void each(ArchiveTable table, BiConsumer<Long, ObjectNode> row) {
        Columns of = columns.of(table.name());
        String wanted = of.all().stream()
                .filter(c -> c.keptAs() != KeptAs.BYTES)
                .map(KeptColumn::name)
                .collect(Collectors.joining(", "));
        sql.query(
                "select %s as row_id, %s from %s where %s order by %s"
                        .formatted(of.primary(), wanted, table.name(), scope(table), of.primary()),
                rows -> {
                    row.accept(rows.getLong("row_id"), node(of, rows));
                });
    }

    byte[] bytes(Columns of, KeptColumn column, long id) {
        byte[] all = sql.queryForObject(
                "select %s from %s where %s = ?"
                        .formatted(column.name(), of.table().name(), of.primary()),
                byte[].class,
                id);
        return all == null ? new byte[0] : all;
    }

    /** How many pictures there are; their bytes are not looked at. */
    long pictures() {
        long sum = 0;
        for (ArchiveTable table : ArchiveTables.ALL) {
            if (!columns.of(table.name()).bytes().isEmpty()) {
                Long some = sql.queryForObject(
                        "select count(*) from %s where %s".formatted(table.name(), scope(table)), Long.class);
                sum += some == null ? 0 : some;
            }
        }
        return sum;
    }

    /** What is of the whole crew is of each production. */
    private String scope(ArchiveTable table) {
        return table.isOfTheCrew() ? "1 = 1" : scope.condition(table);
    }

    private ObjectNode node(Columns of, ResultSet row) throws SQLException {
        ObjectNode node = ArchiveJson.MAPPER.createObjectNode();
        for (KeptColumn column : of.all()) {
            if (column.keptAs() != KeptAs.BYTES) {
                JsonNode value = value(of.table(), column, row);
                if (value != null) {
                    node.set(column.property(), value);
                }
            }
        }
        for (KeptColumn picture : of.bytes()) {
            node.put(picture.property(), entry(of, picture, node));
        }
        return node;
    }

    /** {@code pictures/<uid>.jpg}, of smaller ones with what they are for. */
    static String entry(Columns of, KeptColumn column, ObjectNode row) {
        String type = ArchiveJson.text(row, "mediaType");
        String ending = type == null || type.equals("image/jpeg") ? "jpg" : type.contains("svg") ? "svg" : "png";
        String part = column.name().equals("bytes") ? "" : "-" + column.name();
        return "pictures/%s%s.%s".formatted(row.get(of.identity()).asText(), part, ending);
    }

    private @Nullable JsonNode value(ArchiveTable table, KeptColumn column, ResultSet row) throws SQLException {
        Object kept =
                switch (column.keptAs()) {
                    case TIME -> row.getObject(column.name(), OffsetDateTime.class);
                    case UID -> row.getObject(column.name(), UUID.class);
                    case FLAG -> row.getObject(column.name(), Boolean.class);
                    case DECIMAL -> row.getObject(column.name(), Double.class);
                    case WHOLE, ROW, EVENT -> whole(row, column.name());
                    case TEXT, JSON, NAMED -> row.getString(column.name());
                    case BYTES -> null;
                };
        if (kept == null) {
            return null;
        }
        return switch (column.keptAs()) {
            case TIME -> TextNode.valueOf(((OffsetDateTime) kept).toInstant().toString());
            case FLAG -> ArchiveJson.MAPPER.getNodeFactory().booleanNode((Boolean) kept);
            case DECIMAL -> ArchiveJson.number((Double) kept);
            case WHOLE -> ArchiveJson.number((Long) kept);
            case ROW -> text(uid(Objects.requireNonNull(column.rowOf()), (Long) kept));
            case EVENT -> text(event((Long) kept));
            case JSON -> withUids(table, column, ArchiveJson.parsed((String) kept));
            case NAMED -> text(named((String) kept));
            default -> TextNode.valueOf(kept.toString());
        };
    }

    private static @Nullable Long whole(ResultSet row, String column) throws SQLException {
        long number = row.getLong(column);
        return row.wasNull() ? null : number;
    }

    private static @Nullable JsonNode text(@Nullable String text) {
        return text == null ? null : TextNode.valueOf(text);
    }

    private @Nullable String named(String kept) {
        Matcher parts = NAMED.matcher(kept);
        if (!parts.matches()) {
            return kept;
        }
        String uid = uid(table(parts.group(1)), Long.parseLong(parts.group(2)));
        return uid == null ? null : parts.group(1) + "-" + uid;
    }

    static String table(String kind) {
        return Objects.requireNonNull(TABLE_OF_KIND.get(kind));
    }

    private JsonNode withUids(ArchiveTable table, KeptColumn column, JsonNode tree) {
        table.jsonRefs().forEach((path, rowOf) -> {
            String[] parts = path.split("\\.");
            if (parts[0].equals(column.name())
                    && parent(tree, parts) instanceof ObjectNode parent
                    && parent.path(parts[parts.length - 1]).isIntegralNumber()) {
                String last = parts[parts.length - 1];
                String uid = uid(rowOf, parent.get(last).asLong());
                if (uid == null) {
                    parent.remove(last);
                } else {
                    parent.put(last, uid);
                }
            }
        });
        return tree;
    }

    /** What the last part of a path stands in. */
    static JsonNode parent(JsonNode tree, String[] parts) {
        JsonNode at = tree;
        for (String part : Arrays.asList(parts).subList(1, parts.length - 1)) {
            at = at.path(part);
        }
        return at;
    }

    private @Nullable String uid(String table, long id) {
        return uids.computeIfAbsent(table.toLowerCase(Locale.ROOT), this::readUids)
                .get(id);
    }

    private Map<Long, String> readUids(String name) {
        ArchiveTable table = ArchiveTables.named(name);
        Map<Long, String> all = new HashMap<>();
        sql.query("select %s, uid from %s where %s".formatted(columns.of(name).primary(), name, scope(table)), rows -> {
            all.put(rows.getLong(1), rows.getObject(2, UUID.class).toString());
        });
        return all;
    }

    /** The newest change up to a number. */
    private @Nullable String event(long number) {
        if (events == null) {
            events = new TreeMap<>(readUids("knot_event"));
        }
        Map.Entry<Long, String> newest = events.floorEntry(number);
        return newest == null ? null : newest.getValue();
    }
}
