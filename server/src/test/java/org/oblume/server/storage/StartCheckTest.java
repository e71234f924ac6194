package org.oblume.server.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class StartCheckTest {

    @TempDir
    Path data;

    private final StartCheck check = new StartCheck(sentence -> {}, Duration.ofMillis(300));

    private String url() {
        return "jdbc:h2:file:" + data.resolve("oblume");
    }

    @Test
    void anEmptyFolderAndOneWithADatabaseAreWell() {
        assertThat(check.problem(data, url(), "oblume")).isEmpty();
        assertThat(check.problem(data, url(), "oblume")).isEmpty();
    }

    @Test
    void aFolderThatCannotBeWrittenToIsSaid() throws IOException {
        Path file = Files.createFile(data.resolve("a-file"));
        assertThat(check.problem(file.resolve("data"), url(), "oblume"))
                .hasValue(
                        "%s cannot be written to. Give Oblume a folder of yours, or make this one writable; nothing was changed."
                                .formatted(file.resolve("data")));
    }

    @Test
    void aDamagedDatabaseIsLeftAsItIsAndTheWayBackIsSaid() throws IOException, SQLException {
        try (Connection connection = DriverManager.getConnection(url(), "oblume", "");
                Statement sql = connection.createStatement()) {
            sql.execute("create table note as select x id, repeat('words ', 100) words from system_range(1, 500)");
        }
        Path file = data.resolve("oblume.mv.db");
        byte[] damaged = new byte[(int) Files.size(file)];
        new Random(3).nextBytes(damaged);
        Files.write(file, damaged);
        assertThat(check.problem(data, url(), "oblume")).hasValueSatisfying(sentence -> assertThat(sentence)
                .startsWith("The database in %s does not open".formatted(data))
                .endsWith("Nothing was changed. Bring it back from a copy: ./oblume restore %s, or the second folder."
                        .formatted(data.resolve("copies")))
                .doesNotContain("\n")
                .doesNotContain("\tat "));
        assertThat(Files.readAllBytes(file)).isEqualTo(damaged);
    }

    @Test
    void aSecondOblumeOnTheSameFolderIsToldOfTheFirst() throws IOException {
        assertThat(check.problem(data, url(), "oblume")).isEmpty();
        try (FileChannel first = FileChannel.open(data.resolve("oblume.mv.db"), StandardOpenOption.WRITE);
                FileLock held = first.lock()) {
            assertThat(held.isValid()).isTrue();
            assertThat(check.problem(data, url(), "oblume"))
                    .hasValue("Another Oblume is running on %s. Use that one, or stop it first; or name another folder."
                            .formatted(data));
        }
        assertThat(check.problem(data, url(), "oblume")).isEmpty();
    }

    @Test
    void whatALaterOblumeWroteIsLeftToIt() throws SQLException {
        String url = url() + ";DATABASE_TO_LOWER=TRUE";
        try (Connection connection = DriverManager.getConnection(url, "oblume", "");
                Statement sql = connection.createStatement()) {
            sql.execute("create table flyway_schema_history (version varchar(50), success boolean)");
            sql.execute("insert into flyway_schema_history values ('24', true), ('999', true)");
        }
        assertThat(check.problem(data, url, "oblume"))
                .hasValue(
                        "The record in %s was written by a later Oblume. Start that one; or bring back a copy from before the update: ./oblume restore %s. Nothing was changed."
                                .formatted(data, data.resolve("copies")));
        try (Connection connection = DriverManager.getConnection(url, "oblume", "");
                Statement sql = connection.createStatement()) {
            sql.execute("delete from flyway_schema_history where version = '999'");
        }
        assertThat(check.problem(data, url, "oblume")).isEmpty();
    }
}
