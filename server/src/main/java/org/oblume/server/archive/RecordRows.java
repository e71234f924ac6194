package org.oblume.server.archive;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.server.archive.ArchiveColumns.Columns;
import org.oblume.server.archive.ArchiveColumns.KeptAs;
import org.oblume.server.archive.ArchiveColumns.KeptColumn;

/** The rows of one record of a production, without its pictures; of changes only what they are of. */
final class RecordRows {

    static final String CHANGES = "knot_event";

    private final ArchiveColumns columns;
    private final Map<String, Map<String, ObjectNode>> tables = new LinkedHashMap<>();
    private final Map<String, String> changes = new HashMap<>();

    RecordRows(ArchiveColumns columns) {
        this.columns = columns;
        ArchiveTables.ALL.forEach(table -> tables.put(table.name(), new LinkedHashMap<>()));
    }

    static RecordRows of(RecordReader record, ArchiveColumns columns) {
        RecordRows rows = new RecordRows(columns);
        ArchiveTables.ALL.forEach(table -> record.each(table, (id, row) -> rows.add(table, row)));
        return rows;
    }

    static RecordRows of(ArchiveFile file, ArchiveColumns columns) throws IOException {
        RecordRows rows = new RecordRows(columns);
        for (ArchiveTable table : ArchiveTables.ALL) {
            file.each(table, row -> rows.add(table, row));
        }
        return rows;
    }

    void add(ArchiveTable table, ObjectNode row) {
        if (table.name().equals(CHANGES)) {
            changes.put(ArchiveJson.required(row, "uid"), valueKey(row));
        } else {
            rows(table).put(identity(table, row), row);
        }
    }

    /** What a change or a value is of. */
    static String valueKey(ObjectNode row) {
        return row.path("shot").asText() + " " + row.path("placement").asText() + " "
                + row.path("attribute").asText();
    }

    String identity(ArchiveTable table, ObjectNode row) {
        return ArchiveJson.required(row, columns.of(table.name()).identity());
    }

    Map<String, ObjectNode> rows(ArchiveTable table) {
        return tables.getOrDefault(table.name(), Map.of());
    }

    Collection<ObjectNode> all(String table) {
        return rows(ArchiveTables.named(table)).values();
    }

    @Nullable
    ObjectNode row(String table, @Nullable String identity) {
        return identity == null ? null : rows(ArchiveTables.named(table)).get(identity);
    }

    /** Each change with what it is of. */
    Map<String, String> changes() {
        return changes;
    }

    /** What rows hang on: those of them that are not in another record, or are otherwise there. */
    Set<String> withNews(RecordRows before) {
        Set<String> news = new HashSet<>();
        for (int i = ArchiveTables.ALL.size() - 1; i >= 0; i--) {
            ArchiveTable table = ArchiveTables.ALL.get(i);
            boolean wasKept = !table.grows();
            rows(table).forEach((id, row) -> {
                ObjectNode was = before.rows(table).get(id);
                if (news.contains(id) || (wasKept && (was == null || !isLike(table, row, was)))) {
                    hangsOn(table).forEach(column -> {
                        String on = ArchiveJson.text(row, column);
                        if (on != null) {
                            news.add(on);
                        }
                    });
                }
            });
        }
        return news;
    }

    private List<String> hangsOn(ArchiveTable table) {
        Columns of = columns.of(table.name());
        return of.all().stream()
                .filter(c -> c.keptAs() == KeptAs.ROW)
                .map(KeptColumn::property)
                .toList();
    }

    /** Whether two rows say the same, leaving out what nobody is asked about. */
    boolean isLike(ArchiveTable table, ObjectNode one, ObjectNode other) {
        return columns.of(table.name()).all().stream()
                .filter(c -> !table.quiet().contains(c.name()) && c.keptAs() != KeptAs.UID)
                .allMatch(c -> ArchiveJson.same(one.get(c.property()), other.get(c.property())));
    }
}
