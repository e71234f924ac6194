package org.oblume.server.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;

/** A database from before there were runs: what a crew had ticked off is not lost. */
class TicksBecomeRunsTest {

    private static final String URL =
            "jdbc:h2:mem:before-runs;MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH;DB_CLOSE_DELAY=-1";

    @Test
    void whatWasTickedOffIsTheFirstRunOfItsShot() throws SQLException {
        migrate("4");
        try (Connection connection = DriverManager.getConnection(URL);
                Statement sql = connection.createStatement()) {
            sql.execute("insert into production (id, name, days, version) values (1, 'Saltmarsh Line', 4, 0)");
            sql.execute(
                    "insert into stage_set (id, production_id, name, plan, version) values (1, 1, 'Shop', '{}', 0)");
            sql.execute(
                    "insert into scene (id, production_id, set_id, number, heading, location, build_order, version) values (1, 1, 1, '4', 'INT. SHOP', 'Shop', 'KEY_FIRST', 0)");
            sql.execute(
                    "insert into shot (id, scene_id, slate, description, stage, place_in_list, version) values (1, 1, '4A', '', 'PLANNED', 0, 0), (2, 1, '4B', '', 'PLANNED', 1, 0)");
            sql.execute(
                    "insert into placement (id, scene_id, placement_key, name, kind, role, what, width_m, watts, mount, place_in_list) "
                            + "values (1, 1, 'key', 'Key', 'HEAD', 'KEY', 'LED spot', 0.3, 300, 'STAND', 0)");
            sql.execute(
                    "insert into rebuild_tick (shot_id, placement_id, author, ticked_at) values (1, 1, 'key grip', timestamp with time zone '2026-11-17 20:00:00+00')");
        }
        migrate("5");
        try (Connection connection = DriverManager.getConnection(URL);
                Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery(
                        "select r.shot_id, r.name, s.done, s.author from rebuild_run r join run_step s on s.run_id = r.id")) {
            assertThat(rows.next()).isTrue();
            assertThat(rows.getLong(1)).isEqualTo(1);
            assertThat(rows.getString(2)).isEqualTo("First rebuild");
            assertThat(rows.getBoolean(3)).isTrue();
            assertThat(rows.getString(4)).isEqualTo("key grip");
            assertThat(rows.next()).as("a shot without ticks has no run").isFalse();
        }
    }

    private static void migrate(String version) {
        Flyway.configure().dataSource(URL, null, null).target(version).load().migrate();
    }
}
