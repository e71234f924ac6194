package org.oblume.server.storage;

import com.zaxxer.hikari.HikariConfigMXBean;
import com.zaxxer.hikari.HikariDataSource;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.autoconfigure.jdbc.JdbcConnectionDetails;
import org.springframework.boot.jdbc.DataSourceUnwrapper;
import org.springframework.stereotype.Component;

/**
 * The file that the record is in. What was committed is brought to the disk before anybody is told that it is kept; while a journal is
 * kept, to that one's disk too. A journal that cannot be written to any more is given up, not waited for: the work on set goes on, and
 * whoever asks is told.
 */
@Component
public class RecordFile {

    private static final Logger LOG = LoggerFactory.getLogger(RecordFile.class);

    private static final String H2 = "jdbc:h2:";

    private final JdbcConnectionDetails database;
    private final ObjectProvider<DataSource> connections;
    private final DiskSync sync = new DiskSync(this::force);
    private @Nullable Connection own;
    private final Object journals = new Object();
    /** Changed by whoever holds {@link #journals}. */
    private volatile @Nullable FileJournal journal;

    private volatile @Nullable String journalProblem;
    private volatile long journaledUpTo;

    RecordFile(JdbcConnectionDetails database, ObjectProvider<DataSource> connections) {
        this.database = database;
        this.connections = connections;
        JournaledFiles.listen(new JournaledFiles.Listener() {
            @Override
            public void wrote(long at, ByteBuffer bytes) {
                journal(kept -> kept.write(at, bytes));
            }

            @Override
            public void resized(long length) {
                journal(kept -> kept.length(length));
            }
        });
    }

    /** Whether a database is a file that this server keeps: one in memory, or a database server's, is not. */
    public static boolean isOurs(String url) {
        return url.startsWith(H2) && !url.startsWith("jdbc:h2:mem:");
    }

    DiskSync sync() {
        return sync;
    }

    /** Returns once all that was committed before is on the disk. */
    public void awaitSync() {
        sync.await();
    }

    /** How many edits were waited for since the server started; that somebody looked is none. */
    public long changes() {
        return sync.asked();
    }

    /**
     * From here on each write goes to this journal as well, and an edit is acknowledged when it is there; the one before is ended, whole.
     *
     * @throws IOException when the place cannot be written to; the one before goes on
     */
    public void journalTo(Path file) throws IOException {
        FileJournal next = new FileJournal(file);
        FileJournal before;
        synchronized (journals) {
            before = journal;
            journal = next;
            journalProblem = null;
        }
        end(before);
    }

    /** Keeps no journal any more. */
    public void endJournal() {
        FileJournal before;
        synchronized (journals) {
            before = journal;
            journal = null;
        }
        end(before);
    }

    private static void end(@Nullable FileJournal before) {
        if (before == null) {
            return;
        }
        try (before) {
            before.mark();
            before.force();
        } catch (IOException gone) {
            LOG.warn("The journal was not ended: {}", gone.getMessage());
        }
    }

    public boolean hasJournal() {
        return journal != null;
    }

    /** When a journal last held all that was acknowledged by then, milliseconds since 1970; 0 for never. */
    public long journaledUpTo() {
        return journaledUpTo;
    }

    /** Why the last journal was given up, or null. */
    public @Nullable String journalProblem() {
        return journalProblem;
    }

    /**
     * Copies the file as it is, while it is worked on; packed, as H2 does it.
     *
     * @throws IOException when there is no room for it, or it cannot be read
     */
    public void copyTo(Path zip) throws IOException {
        Files.deleteIfExists(zip);
        try (Connection connection = connect();
                PreparedStatement backup = connection.prepareStatement("backup to ?")) {
            backup.setString(1, zip.toString());
            backup.execute();
        } catch (SQLException failed) {
            throw new IOException(failed);
        }
    }

    /**
     * Lets go of connections to a database that closed itself because a write of it failed, so that the next who asks opens it anew. One
     * that is still there but takes nothing is closed first.
     */
    synchronized void reopenWhenClosed() {
        if (!database.getJdbcUrl().startsWith(H2)) {
            return;
        }
        close();
        try (Connection fresh = connect();
                Statement statement = fresh.createStatement()) {
            statement.execute("update epoch set began_at = began_at");
            statement.execute("checkpoint sync");
        } catch (SQLException failed) {
            LOG.warn("The database is let go of: {}", failed.getMessage());
            shutDown();
        }
        connections.ifAvailable(all -> {
            @Nullable
            HikariDataSource pool = DataSourceUnwrapper.unwrap(all, HikariConfigMXBean.class, HikariDataSource.class);
            if (pool != null && pool.getHikariPoolMXBean() != null) {
                pool.getHikariPoolMXBean().softEvictConnections();
            }
        });
    }

    private void shutDown() {
        try (Connection last = connect();
                Statement statement = last.createStatement()) {
            statement.execute("shutdown immediately");
        } catch (SQLException gone) {
            LOG.debug("It was closed already.", gone);
        }
    }

    private void force() throws IOException {
        if (!database.getJdbcUrl().startsWith(H2)) {
            return; // a database server acknowledges what it has on its disk
        }
        try {
            checkpoint();
        } catch (SQLException failed) {
            close();
            throw new IOException(failed);
        }
        forceJournal();
    }

    private void forceJournal() {
        long before = System.currentTimeMillis();
        FileJournal kept;
        synchronized (journals) {
            journal(FileJournal::mark);
            kept = journal;
        }
        if (kept == null) {
            return;
        }
        try {
            kept.force();
            journaledUpTo = before;
        } catch (IOException lost) {
            synchronized (journals) {
                if (kept == journal) { // else it was ended meanwhile, whole
                    giveUp(lost);
                }
            }
        }
    }

    private void checkpoint() throws SQLException {
        Connection connection = own;
        if (connection == null || connection.isClosed()) {
            connection = connect();
            own = connection;
        }
        try (Statement statement = connection.createStatement()) {
            statement.execute("checkpoint sync");
        }
    }

    private Connection connect() throws SQLException {
        return DriverManager.getConnection(database.getJdbcUrl(), database.getUsername(), database.getPassword());
    }

    private void journal(Append what) {
        synchronized (journals) {
            FileJournal kept = journal;
            if (kept == null) {
                return;
            }
            try {
                what.to(kept);
            } catch (IOException lost) {
                giveUp(lost);
            }
        }
    }

    private void giveUp(IOException lost) {
        journalProblem = String.valueOf(lost.getMessage());
        LOG.warn("The second folder does not take the journal any more: {}", lost.getMessage());
        endJournal();
    }

    @PreDestroy
    void close() {
        Connection connection = own;
        own = null;
        if (connection != null) {
            try {
                connection.close();
            } catch (SQLException gone) {
                LOG.debug("The connection was gone already.", gone);
            }
        }
    }

    private interface Append {
        void to(FileJournal journal) throws IOException;
    }
}
