package org.oblume.server.storage;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Consumer;
import org.h2.api.ErrorCode;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.core.env.Environment;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * Looks at the data folder before the server starts: what would keep it from working is said in one sentence, and nothing starts. A server
 * that was just told to stop may still have the file; it is waited for.
 */
public final class StartCheck implements ApplicationListener<ApplicationEnvironmentPreparedEvent> {

    private static final Duration PATIENCE = Duration.ofSeconds(15);
    private static final int LOOK_MS = 250;
    private static final String HISTORY = "flyway_schema_history";
    private static final String NO_SPACE = "No space left on device";

    /** Says why nothing starts. */
    private final Consumer<String> end;

    /** For a server that is just stopping. */
    private final Duration patience;

    public StartCheck() {
        this(
                sentence -> {
                    System.err.println("oblume: " + sentence);
                    System.exit(1);
                },
                PATIENCE);
    }

    StartCheck(Consumer<String> end, Duration patience) {
        this.end = end;
        this.patience = patience;
    }

    @Override
    public void onApplicationEvent(ApplicationEnvironmentPreparedEvent prepared) {
        Environment settings = prepared.getEnvironment();
        String url = settings.getRequiredProperty("spring.datasource.url");
        if (RecordFile.isOurs(url)) {
            JournaledFiles.register();
            problem(
                            Path.of(settings.getRequiredProperty("oblume.data")),
                            url,
                            settings.getRequiredProperty("spring.datasource.username"))
                    .ifPresent(end);
        }
    }

    Optional<String> problem(Path data, String url, String user) {
        try {
            Files.createDirectories(data);
            Path trial = Files.createTempFile(data, "write", ".test");
            try {
                Files.write(trial, new byte[] {1});
            } finally {
                Files.delete(trial);
            }
        } catch (IOException refused) {
            // on a full disk it starts, so that what is recorded can be read
            if (refused.getMessage() == null || !refused.getMessage().contains(NO_SPACE)) {
                return Optional.of(
                        "%s cannot be written to. Give Oblume a folder of yours, or make this one writable; nothing was changed."
                                .formatted(data));
            }
        }
        return opens(data, url, user);
    }

    private Optional<String> opens(Path data, String url, String user) {
        long end = System.nanoTime() + patience.toNanos();
        while (true) {
            Tried tried = tried(url, user);
            if (tried.failed == null) {
                return refusedIfLater(data, tried.version);
            }
            if (tried.failed.getErrorCode() != ErrorCode.DATABASE_ALREADY_OPEN_1) {
                return Optional.of(said(data, tried.failed));
            }
            if (System.nanoTime() > end) {
                return Optional.of(
                        "Another Oblume is running on %s. Use that one, or stop it first; or name another folder."
                                .formatted(data));
            }
            pause();
        }
    }

    /**
     * What a try at the database said.
     *
     * @param version of the record in it, 0 where there is none
     */
    private record Tried(@Nullable SQLException failed, int version) {}

    private static Tried tried(String url, String user) {
        try (Connection connection = DriverManager.getConnection(url, user, "");
                Statement sql = connection.createStatement();
                ResultSet tables = connection.getMetaData().getTables(null, null, HISTORY, null)) {
            if (!tables.next()) {
                return new Tried(null, 0);
            }
            try (ResultSet newest =
                    sql.executeQuery("select max(cast(version as integer)) from " + HISTORY + " where success")) {
                return new Tried(null, newest.next() ? newest.getInt(1) : 0);
            }
        } catch (SQLException failed) {
            return new Tried(failed, 0);
        }
    }

    /** What a later version wrote is not touched: this one would not know what it means. */
    private static Optional<String> refusedIfLater(Path data, int version) {
        return version <= newestMigration()
                ? Optional.empty()
                : Optional.of(
                        "The record in %s was written by a later Oblume. Start that one; or bring back a copy from before the update: ./oblume restore %s. Nothing was changed."
                                .formatted(data, data.resolve("copies")));
    }

    private static int newestMigration() {
        try {
            return Arrays.stream(
                            new PathMatchingResourcePatternResolver().getResources("classpath:db/migration/V*.sql"))
                    .map(file -> String.valueOf(file.getFilename()))
                    .mapToInt(name -> Integer.parseInt(name.substring(1, name.indexOf("__"))))
                    .max()
                    .orElse(0);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    private static String said(Path data, SQLException failed) {
        return "The database in %s does not open (%s). Nothing was changed. Bring it back from a copy: ./oblume restore %s, or the second folder."
                .formatted(data, firstLine(failed), data.resolve("copies"));
    }

    private static String firstLine(SQLException failed) {
        String all = String.valueOf(failed.getMessage());
        return all.lines().findFirst().orElse(all).replaceAll("; SQL statement:$|;? ?see cause.*$| \\[\\d+-\\d+]", "");
    }

    private static void pause() {
        try {
            Thread.sleep(LOOK_MS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
