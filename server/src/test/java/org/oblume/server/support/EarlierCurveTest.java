package org.oblume.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;

/** What a scene was read through before curves were a production's as well. */
class EarlierCurveTest {

    private static final String URL =
            "jdbc:h2:mem:before-curves;MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH;DB_CLOSE_DELAY=-1";

    @Test
    void aSceneKeepsTheCurveThatWasChosenForIt() throws SQLException {
        migrate("17");
        try (Connection connection = DriverManager.getConnection(URL);
                Statement sql = connection.createStatement()) {
            sql.execute("insert into production (id, name, days, version) values (1, 'Saltmarsh Line', 4, 0)");
            sql.execute(
                    "insert into stage_set (id, production_id, name, plan, version) values (1, 1, 'Glasshouse', '{}', 0)");
            sql.execute(
                    "insert into scene (id, production_id, set_id, number, heading, location, build_order, version) "
                            + "values (1, 1, 1, '11', 'INT', 'Glasshouse', 'KEY_FIRST', 0), (2, 1, 1, '12', 'INT', 'Glasshouse', 'KEY_FIRST', 0)");
            sql.execute("insert into scene_match (scene_id, school, curve, version) "
                    + "values (1, 'KEY_TO_FILL', 'HLG', 3), (2, 'KEY_TO_FILL', 'BT709', 0)");
            migrate("18");
            List<String> kept = new ArrayList<>();
            try (ResultSet rows = sql.executeQuery("select scene_id, curve from monitor_curve")) {
                while (rows.next()) {
                    kept.add(rows.getString(1) + " " + rows.getString(2));
                }
            }
            assertThat(kept).containsExactly("1 {\"shipped\":\"HLG\"}");
        }
    }

    private static void migrate(String version) {
        Flyway.configure().dataSource(URL, null, null).target(version).load().migrate();
    }
}
