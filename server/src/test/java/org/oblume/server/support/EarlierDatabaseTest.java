package org.oblume.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A database from before there were uids: all in it gets one, and what was read out of names is a value of its own. */
class EarlierDatabaseTest {

    private static final String URL =
            "jdbc:h2:mem:before-uids;MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH;DB_CLOSE_DELAY=-1";
    /** Sessions and keys of calls are not the crew's. */
    private static final List<String> NOT_ADDED_BY_PEOPLE = List.of(
            "spring_session",
            "spring_session_attributes",
            "idempotency_key",
            "epoch",
            "output_setting",
            "flyway_schema_history");

    @BeforeAll
    static void aDatabaseOfVersion6IsMigrated() throws SQLException {
        migrate("6");
        try (Connection connection = DriverManager.getConnection(URL);
                Statement sql = connection.createStatement()) {
            sql.execute("insert into production (id, name, days, version) values (1, 'Saltmarsh Line', 4, 0)");
            sql.execute(
                    "insert into stage_set (id, production_id, name, plan, version) values (1, 1, 'Glasshouse', '{}', 0)");
            sql.execute(
                    "insert into scene (id, production_id, set_id, number, heading, location, build_order, version) values (1, 1, 1, '11', 'INT. GLASSHOUSE', 'Glasshouse', 'KEY_FIRST', 0)");
            sql.execute(
                    "insert into shot (id, scene_id, slate, description, stage, place_in_list, version) values (1, 1, '11A', '', 'SHOT', 0, 0), (2, 1, '11B', '', 'PLANNED', 1, 0)");
            sql.execute(
                    "insert into placement (id, scene_id, placement_key, name, kind, role, what, width_m, watts, mount, lamp, place_in_list) values "
                            + "(1, 1, 'sun', 'Sun', 'HEAD', 'KEY', 'HMI Fresnel 1.2 kW', 0.18, 1350, 'STAND', '{\"upkeep\":{\"noise\":\"ballast hum\"}}', 0),"
                            + "(2, 1, 'reader', 'Reader', 'MARK', 'SUBJECT', 'Person with glasses', 0.5, 0, 'FLOOR', null, 1),"
                            + "(3, 1, 'visitor', 'Visitor', 'MARK', 'SUBJECT', 'Person', 0.5, 0, 'FLOOR', null, 2)");
            sql.execute("insert into done_call (id, author, done_at) values ('gaffer 1', 'gaffer', current_timestamp)");
            sql.execute(
                    "insert into rebuild_run (id, shot_id, name, author, started_at, last_event, signed_page, version) values "
                            + "(1, 1, 'Day 4', 'gaffer', current_timestamp, 0, '{\"verdict\":\"STILLED\",\"stilled\":{\"cause\":\"BY_EYE\"}}', 0)");
        }
        migrate("7");
    }

    @Test
    void whatIsThereHasAUidOfItsOwn() throws SQLException {
        assertThat(texts("select uid from placement"))
                .hasSize(3)
                .doesNotContainNull()
                .doesNotHaveDuplicates();
        assertThat(texts("select uid from shot")).hasSize(2).doesNotHaveDuplicates();
    }

    @Test
    void everyTableThatAPersonAddsToHasAUid() throws SQLException {
        List<String> tables = texts(
                "select table_name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'");
        List<String> withUid = texts(
                "select table_name from information_schema.columns where table_schema = 'public' and column_name = 'uid' and is_nullable = 'NO'");
        tables.removeAll(NOT_ADDED_BY_PEOPLE);
        assertThat(tables).contains("note", "look", "network_node");
        assertThat(new HashSet<>(withUid)).isEqualTo(new HashSet<>(tables));
    }

    @Test
    void dischargeLampsBearTheFieldsWordAndTheTimeTheyTake() throws SQLException {
        assertThat(texts("select what from placement where id = 1")).containsExactly("Discharge Fresnel 1.2 kW");
        assertThat(texts("select lamp from placement where id = 1"))
                .containsExactly("{\"upkeep\":{\"warmUpS\":45,\"noise\":\"ballast hum\"}}");
    }

    @Test
    void whoWearsGlassesIsRecorded() throws SQLException {
        assertThat(texts("select placement_key from placement where glasses")).containsExactly("reader");
    }

    @Test
    void whatWasDoneOnceIsStillKnownAndWhatWasSignedIsReadUnderTodaysNames() throws SQLException {
        assertThat(texts("select id from idempotency_key")).containsExactly("gaffer 1");
        assertThat(texts("select signed_page from rebuild_run"))
                .containsExactly("{\"verdict\":\"WAIVED\",\"waiver\":{\"cause\":\"BY_EYE\"}}");
    }

    private static List<String> texts(String query) throws SQLException {
        List<String> found = new ArrayList<>();
        try (Connection connection = DriverManager.getConnection(URL);
                Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery(query)) {
            while (rows.next()) {
                found.add(rows.getString(1));
            }
        }
        return found;
    }

    private static void migrate(String version) {
        Flyway.configure().dataSource(URL, null, null).target(version).load().migrate();
    }
}
