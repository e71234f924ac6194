package org.oblume.server.storage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.util.Optional;
import java.util.function.Consumer;
import org.h2.api.ErrorCode;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.core.env.Environment;

/**
 * Looks at the data folder before the server starts: what would keep it from working is said in one sentence, and nothing starts. A server
 * that was just told to stop may still have the file; it is waited for.
 */
public final class StartCheck implements ApplicationListener<ApplicationEnvironmentPreparedEvent> {

    private static final Duration PATIENCE = Duration.ofSeconds(15);
    private static final int LOOK_MS = 250;
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
        if (!url.startsWith("jdbc:h2:mem:")) {
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
            SQLException failed = failure(url, user);
            if (failed == null) {
                return Optional.empty();
            }
            if (failed.getErrorCode() != ErrorCode.DATABASE_ALREADY_OPEN_1) {
                return Optional.of(said(data, failed));
            }
            if (System.nanoTime() > end) {
                return Optional.of(
                        "Another Oblume is running on %s. Use that one, or stop it first; or name another folder."
                                .formatted(data));
            }
            pause();
        }
    }

    private static @Nullable SQLException failure(String url, String user) {
        try (Connection connection = DriverManager.getConnection(url, user, "")) {
            return connection.isValid(0) ? null : new SQLException("it does not answer");
        } catch (SQLException failed) {
            return failed;
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
