package org.oblume.server.archive;

import java.util.Objects;
import java.util.stream.Collectors;
import org.oblume.server.archive.ArchiveColumns.KeptColumn;

/** Which rows are of one production, or of one scene: by what they hang on. */
final class RecordScope {

    private static final String NONE = "1 = 0";

    private final ArchiveColumns columns;
    private final String root;
    private final long id;

    /** @param root production or scene */
    RecordScope(ArchiveColumns columns, String root, long id) {
        this.columns = columns;
        this.root = root;
        this.id = id;
    }

    /** The condition by which a row of a table is of it; none are of what is above it. */
    String condition(ArchiveTable table) {
        if (table.name().equals(root)) {
            return "id = " + id;
        }
        if (!table.named().isEmpty() && table.owners().isEmpty()) {
            return table.named().stream()
                    .map(column ->
                            "(%s in (%s) or %s in (%s))".formatted(column, namesOf("shot"), column, namesOf("look")))
                    .collect(Collectors.joining(" and "));
        }
        return table.owners().isEmpty()
                ? NONE
                : table.owners().stream()
                        .map(column -> "%s in (%s)".formatted(column, idsOf(ownerOf(table, column))))
                        .collect(Collectors.joining(" or ", "(", ")"));
    }

    private ArchiveTable ownerOf(ArchiveTable table, String column) {
        KeptColumn owner = columns.of(table.name()).of(column);
        return ArchiveTables.named(Objects.requireNonNull(owner.rowOf()));
    }

    private String idsOf(ArchiveTable table) {
        return "select %s from %s where %s"
                .formatted(columns.of(table.name()).primary(), table.name(), condition(table));
    }

    private String namesOf(String kind) {
        ArchiveTable table = ArchiveTables.named(kind);
        return "select '%s-' || id from %s where %s".formatted(kind, table.name(), condition(table));
    }
}
