package org.oblume.server.storage;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.StreamSupport;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.OblumeApplication;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** Databases as earlier versions wrote them, with their demo in them, are opened by this one: nothing in them is lost, and all of it is read. */
class EarlierRecordsTest {

    private static final String SETTINGS = ";MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH";
    private static final List<String> COUNTED = List.of(
            "production",
            "stage_set",
            "scene",
            "placement",
            "shot",
            "knot",
            "knot_event",
            "note",
            "note_photo",
            "take",
            "reading",
            "look",
            "shot_revision",
            "network_node",
            "account");
    private static final List<String> OF_A_SHOT =
            List.of("plot", "history", "notes", "takes", "rebuild", "patch", "power");

    @TempDir
    private Path folder;

    /** By the number of its newest migration. */
    @ParameterizedTest
    @ValueSource(strings = {"06", "10", "15", "20", "24"})
    void aRecordOfAnEarlierVersionIsTakenOverWhole(String version) throws Exception {
        String url = unpacked(version);
        Map<String, Long> before = rows(url);
        assertThat(before.get("knot_event")).isGreaterThan(100);

        try (ConfigurableApplicationContext server = new SpringApplicationBuilder(OblumeApplication.class, Api.class)
                .profiles("demo", "test")
                .run("--server.port=0", "--spring.datasource.url=" + url)) {
            Api lead = server.getBean(Api.class).as("LEAD");
            JsonNode book = lead.get("/api/book").body();
            List<JsonNode> shots = book.findValues("shots").stream()
                    .flatMap(s -> StreamSupport.stream(s.spliterator(), false))
                    .toList();
            assertThat((long) shots.size()).isEqualTo(before.get("shot"));
            for (JsonNode shot : shots) {
                for (String view : OF_A_SHOT) {
                    String path = "/api/shots/%d/%s".formatted(shot.get("id").asLong(), view);
                    Answer answer = lead.get(path);
                    assertThat(answer.status()).as(path + " " + answer).isEqualTo(200);
                }
            }
            assertThat(lead.file("/api/productions/1/archive")).isNotEmpty();
        }
        Map<String, Long> after = rows(url);
        // the demo puts in photographs that it did not have yet
        before.forEach((table, n) -> assertThat(after.get(table)).as(table).isGreaterThanOrEqualTo(n));
        assertThat(after)
                .containsEntry("knot_event", before.get("knot_event"))
                .containsEntry("knot", before.get("knot"));
    }

    private String unpacked(String version) throws IOException {
        Path file = folder.resolve("oblume.mv.db");
        try (InputStream packed =
                        EarlierRecordsTest.class.getResourceAsStream("/records/v%s.mv.db.gz".formatted(version));
                GZIPInputStream in = new GZIPInputStream(packed)) {
            Files.copy(in, file);
        }
        return "jdbc:h2:file:" + folder.resolve("oblume") + SETTINGS;
    }

    /** How many rows each table has that was there then. */
    private static Map<String, Long> rows(String url) throws SQLException {
        Map<String, Long> rows = new TreeMap<>();
        try (Connection connection = DriverManager.getConnection(url, "oblume", "");
                Statement sql = connection.createStatement()) {
            for (String table : COUNTED) {
                try (ResultSet there = connection.getMetaData().getTables(null, null, table, null)) {
                    if (!there.next()) {
                        continue;
                    }
                }
                try (ResultSet count = sql.executeQuery("select count(*) from " + table)) {
                    count.next();
                    rows.put(table, count.getLong(1));
                }
            }
        }
        return rows;
    }
}
