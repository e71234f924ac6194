package org.oblume.server;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import java.util.UUID;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.MapPropertySource;

/** A database of its own for each server of the tests: H2 in memory, or PostgreSQL where {@code ./oblume test-postgres} names one. */
public class FreshDatabase implements ApplicationContextInitializer<ConfigurableApplicationContext> {

    /** {@code jdbc:postgresql://localhost:5433/postgres?user=oblume}. */
    private static final String SERVER = System.getProperty("oblume.test.postgres", "");

    @Override
    public void initialize(ConfigurableApplicationContext context) {
        if (SERVER.isEmpty()) {
            return;
        }
        String name = "t" + UUID.randomUUID().toString().replace("-", "");
        try (Connection connection = DriverManager.getConnection(SERVER);
                Statement sql = connection.createStatement()) {
            sql.execute("create database " + name);
        } catch (SQLException failed) {
            throw new IllegalStateException(failed);
        }
        context.getEnvironment()
                .getPropertySources()
                .addFirst(new MapPropertySource(
                        "fresh database",
                        Map.of(
                                "spring.datasource.url",
                                SERVER.replaceFirst("/[a-z]+\\?", "/" + name + "?"),
                                "spring.datasource.username",
                                "oblume",
                                "spring.datasource.hikari.connection-init-sql",
                                "set lock_timeout = '2s'")));
    }
}
