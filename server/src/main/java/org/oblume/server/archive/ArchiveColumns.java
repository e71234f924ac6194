package org.oblume.server.archive;

import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.support.JdbcUtils;
import org.springframework.jdbc.support.MetaDataAccessException;
import org.springframework.stereotype.Component;

/** The columns of the tables, as the database tells them: what is added to the record later is in the archive without anybody's doing. */
@Component
class ArchiveColumns {

    private static final String UID = "uid";
    private static final String VERSION = "version";
    private static final String ID = "id";
    /** What no column holds more of, where the database itself has no limit. */
    private static final int LARGEST = 20_000_000;

    /** What is kept in a column. */
    enum KeptAs {
        TEXT,
        JSON,
        WHOLE,
        DECIMAL,
        FLAG,
        TIME,
        UID,
        BYTES,
        /** An id, here the uid of the row that it is of. */
        ROW,
        /** The number of a change of the record, here its uid; null before the first. */
        EVENT,
        /** A kind and an id, {@code shot-12}; here a kind and a uid. */
        NAMED
    }

    /**
     * A column of a table.
     *
     * @param property what it is called in the file
     * @param rowOf of a {@link KeptAs#ROW}, the table
     * @param longest characters of a text, bytes of a picture
     */
    record KeptColumn(
            String name, String property, KeptAs keptAs, @Nullable String rowOf, boolean required, int longest) {}

    /**
     * A table with its columns.
     *
     * @param primary the column that its rows are told by in this database
     * @param counted whether its rows count their changes
     */
    record Columns(ArchiveTable table, List<KeptColumn> all, String primary, boolean counted) {

        KeptColumn of(String name) {
            return all.stream().filter(c -> c.name().equals(name)).findFirst().orElseThrow();
        }

        boolean hasUid() {
            return all.stream().anyMatch(c -> c.keptAs() == KeptAs.UID);
        }

        List<KeptColumn> bytes() {
            return all.stream().filter(c -> c.keptAs() == KeptAs.BYTES).toList();
        }

        /** Of a row without a uid: what it is of tells it. */
        String identity() {
            return hasUid() ? UID : of(table.key().get(0)).property();
        }
    }

    private final Map<String, Columns> tables = new LinkedHashMap<>();

    ArchiveColumns(DataSource database) {
        try {
            JdbcUtils.extractDatabaseMetaData(database, data -> {
                for (ArchiveTable table : ArchiveTables.ALL) {
                    tables.put(table.name(), read(data, table));
                }
                return tables;
            });
        } catch (MetaDataAccessException failed) {
            throw new IllegalStateException(failed);
        }
    }

    Columns of(String table) {
        return Objects.requireNonNull(tables.get(table));
    }

    private static Columns read(DatabaseMetaData data, ArchiveTable table) throws SQLException {
        Map<String, String> rowsOf = new HashMap<>(table.refs());
        Connection connection = data.getConnection();
        try (ResultSet keys = data.getImportedKeys(connection.getCatalog(), connection.getSchema(), table.name())) {
            while (keys.next()) {
                rowsOf.put(lower(keys, "FKCOLUMN_NAME"), lower(keys, "PKTABLE_NAME"));
            }
        }
        List<KeptColumn> all = new ArrayList<>();
        boolean counted = false;
        boolean numbered = false;
        try (ResultSet columns = data.getColumns(connection.getCatalog(), connection.getSchema(), table.name(), null)) {
            while (columns.next()) {
                String name = lower(columns, "COLUMN_NAME");
                counted |= name.equals(VERSION);
                numbered |= name.equals(ID);
                if (!name.equals(ID) && !name.equals(VERSION)) {
                    all.add(new KeptColumn(
                            name,
                            property(name),
                            type(table, rowsOf, name, lower(columns, "TYPE_NAME")),
                            rowsOf.get(name),
                            columns.getInt("NULLABLE") == DatabaseMetaData.columnNoNulls,
                            Math.min(columns.getInt("COLUMN_SIZE"), LARGEST)));
                }
            }
        }
        if (all.isEmpty()) {
            throw new IllegalStateException("There is no table " + table.name());
        }
        return new Columns(table, List.copyOf(all), numbered ? ID : table.key().get(0), counted);
    }

    private static String lower(ResultSet row, String label) throws SQLException {
        return row.getString(label).toLowerCase(Locale.ROOT);
    }

    private static KeptAs type(ArchiveTable table, Map<String, String> rowsOf, String name, String sqlType) {
        if (rowsOf.containsKey(name)) {
            return KeptAs.ROW;
        }
        if (table.events().contains(name)) {
            return KeptAs.EVENT;
        }
        if (table.json().contains(name)) {
            return KeptAs.JSON;
        }
        if (table.named().contains(name)) {
            return KeptAs.NAMED;
        }
        return switch (sqlType) {
            case "uuid" -> KeptAs.UID;
            case "bigint", "integer", "int4", "int8" -> KeptAs.WHOLE;
            case "double precision", "float8" -> KeptAs.DECIMAL;
            case "boolean", "bool" -> KeptAs.FLAG;
            case "binary varying", "bytea" -> KeptAs.BYTES;
            case "character varying", "varchar" -> KeptAs.TEXT;
            default -> {
                if (sqlType.startsWith("timestamp")) {
                    yield KeptAs.TIME;
                }
                throw new IllegalStateException("%s.%s is a %s".formatted(table.name(), name, sqlType));
            }
        };
    }

    /** {@code based_on_id} is {@code basedOn}. */
    static String property(String column) {
        StringBuilder name = new StringBuilder();
        for (String word : column.replaceFirst("_id$", "").split("_")) {
            name.append(name.isEmpty() ? word : Character.toUpperCase(word.charAt(0)) + word.substring(1));
        }
        return name.toString();
    }
}
