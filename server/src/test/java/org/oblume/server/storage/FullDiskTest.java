package org.oblume.server.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.oblume.server.support.ClosedDatabase;
import org.springframework.beans.factory.support.StaticListableBeanFactory;
import org.springframework.boot.autoconfigure.jdbc.JdbcConnectionDetails;
import org.springframework.util.unit.DataSize;

@ResourceLock("cut disk")
class FullDiskTest {

    @TempDir
    Path data;

    @Test
    void editsAreRefusedWhileThereIsStillRoomForTheDatabase() {
        new DiskRoom(data, DataSize.ofBytes(1)).require();
        assertThatThrownBy(() -> new DiskRoom(data, DataSize.ofTerabytes(8_000_000L)).require())
                .isInstanceOf(DiskFullException.class)
                .hasMessageStartingWith(
                        "The disk of the server’s machine is full. Nothing of yours was kept: make room there");
    }

    @Test
    void aDatabaseThatClosedItselfOnAFullDiskIsOpenedAgainOnceThereIsRoom() throws SQLException {
        CutFiles.begin();
        String url = "jdbc:h2:cut:" + data.resolve("oblume") + ";WRITE_DELAY=0;TRACE_LEVEL_FILE=0";
        try (HikariDataSource pool = new HikariDataSource()) {
            pool.setJdbcUrl(url);
            pool.setUsername("oblume");
            pool.setPassword("");
            StaticListableBeanFactory beans = new StaticListableBeanFactory();
            beans.addBean("database", pool);
            RecordFile file = new RecordFile(details(url), beans.getBeanProvider(DataSource.class));
            run(pool, "create table epoch (id varchar primary key, began_at timestamp)");
            run(pool, "insert into epoch values ('kept', current_timestamp)");
            CutFiles.fill(true);
            assertThatThrownBy(() -> {
                        for (int i = 0; i < 20; i++) {
                            run(pool, "insert into epoch values ('lost %d', current_timestamp)".formatted(i));
                        }
                    })
                    .satisfies(failed -> assertThat(failed).hasStackTraceContaining("No space left on device"));
            assertThatThrownBy(() -> run(pool, "insert into epoch values ('lost', current_timestamp)"))
                    .satisfies(failed ->
                            assertThat(ClosedDatabase.isCauseOf(failed)).isTrue());
            CutFiles.fill(false);
            file.reopenWhenClosed();
            run(pool, "insert into epoch values ('after', current_timestamp)");
            run(pool, "delete from epoch where id = 'kept'");
        } finally {
            CutFiles.fill(false);
        }
    }

    private static void run(DataSource database, String sql) throws SQLException {
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            assertThat(statement.executeUpdate(sql)).isBetween(0, 1);
        }
    }

    private static JdbcConnectionDetails details(String url) {
        return new JdbcConnectionDetails() {
            @Override
            public String getUsername() {
                return "oblume";
            }

            @Override
            public String getPassword() {
                return "";
            }

            @Override
            public String getJdbcUrl() {
                return url;
            }
        };
    }
}
