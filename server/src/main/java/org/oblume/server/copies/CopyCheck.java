package org.oblume.server.copies;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** Opens a copy as one would have to. */
final class CopyCheck {

    /** How the database's file ends. */
    static final String FILE = ".mv.db";

    private static final String OPTIONS =
            ";MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH;IFEXISTS=TRUE;LAZY_QUERY_EXECUTION=1";
    private static final String USER = "oblume";

    private CopyCheck() {}

    /**
     * Unpacks a copy.
     *
     * @throws IOException when it is not one, or damaged
     */
    static void unpack(Path zip, Path file) throws IOException {
        try (InputStream in = Files.newInputStream(zip);
                ZipInputStream entries = new ZipInputStream(in)) {
            for (ZipEntry entry = entries.getNextEntry(); entry != null; entry = entries.getNextEntry()) {
                if (entry.getName().endsWith(FILE)) {
                    Files.copy(entries, file);
                    return;
                }
            }
        }
        throw new IOException(zip.getFileName() + " holds no database");
    }

    /** A connection to a database by its file, which nobody else has open. */
    static Connection open(Path file) throws SQLException {
        String name = file.toAbsolutePath().toString();
        return DriverManager.getConnection(
                "jdbc:h2:file:" + name.substring(0, name.length() - FILE.length()) + OPTIONS, USER, "");
    }

    /**
     * Reads every table of a database to its end.
     *
     * @return the rows
     * @throws SQLException when it does not open, or a page of it is damaged
     */
    static long rows(Path file) throws SQLException {
        long rows = 0;
        try (Connection connection = open(file);
                Statement sql = connection.createStatement();
                Statement each = connection.createStatement();
                ResultSet tables = sql.executeQuery(
                        "select table_name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'")) {
            while (tables.next()) {
                rows += rows(each, tables.getString(1));
            }
        }
        if (rows == 0) {
            throw new SQLException("nothing is in it");
        }
        return rows;
    }

    private static long rows(Statement sql, String table) throws SQLException {
        long rows = 0;
        try (ResultSet all = sql.executeQuery("select * from \"" + table + "\"")) {
            while (all.next()) {
                rows++;
            }
        }
        return rows;
    }

    /** Unpacks a copy beside it, reads all of it, and removes that again. */
    static long rowsOfCopy(Path zip) throws IOException {
        Path folder = Files.createTempDirectory(zip.toAbsolutePath().getParent(), "check");
        Path file = folder.resolve("check" + FILE);
        try {
            unpack(zip, file);
            return rows(file);
        } catch (SQLException damaged) {
            throw new IOException(zip.getFileName() + " does not open: " + damaged.getMessage(), damaged);
        } finally {
            Files.deleteIfExists(file);
            Files.deleteIfExists(folder.resolve("check.trace.db"));
            Files.deleteIfExists(folder);
        }
    }
}
