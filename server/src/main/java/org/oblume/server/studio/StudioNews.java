package org.oblume.server.studio;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.annotation.PreDestroy;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Topic;
import org.oblume.server.events.RecordChanged;
import org.oblume.server.storage.StudioDatabase;
import org.oblume.server.support.CommitCaches;
import org.oblume.server.support.RecordSource.Source;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.boot.autoconfigure.jdbc.JdbcConnectionDetails;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Tells the other servers of a studio through its database what was written here, with the commit that wrote it, and what pages may have to
 * read anew; and hears the same from them. Who is where is known to each server alone.
 */
@Component
@ConditionalOnExpression("'${spring.datasource.url}'.startsWith('" + StudioDatabase.URL + "')")
class StudioNews {

    private static final Logger LOG = LoggerFactory.getLogger(StudioNews.class);
    private static final String CHANNEL = "oblume";
    private static final String TELL = "select pg_notify('" + CHANNEL + "', ?)";
    /** What the database takes in one piece of news. */
    private static final int LONGEST = 7000;

    private static final int WAIT_MS = 1000;

    /** What pages have to read when this server has not heard the others for a while. */
    private static final RecordChanged EVERYTHING = new RecordChanged(List.of(Topic.values()), null, null, "", null);

    private final String server = UUID.randomUUID().toString();
    private final JdbcConnectionDetails database;
    private final JdbcTemplate sql;
    private final ObjectMapper json;
    private final CommitCaches caches;
    private final ApplicationEventPublisher events;
    private final Thread hearing = new Thread(this::hear, "studio");
    private final Map<String, CompletableFuture<Void>> marks = new ConcurrentHashMap<>();
    private @Nullable Connection marking;
    private volatile boolean stopped;

    /**
     * A piece of news, of one of three kinds.
     *
     * @param rows that were written, or null
     * @param changed what pages may have to read, or null
     * @param mark a server's sign to itself: when it hears it, it has heard all that was committed before; or null
     */
    record News(String server, @Nullable Set<Source> rows, @Nullable RecordChanged changed, @Nullable String mark) {}

    StudioNews(
            JdbcConnectionDetails database,
            JdbcTemplate sql,
            ObjectMapper json,
            CommitCaches caches,
            ApplicationEventPublisher events) {
        this.database = database;
        this.sql = sql;
        this.json = json;
        this.caches = caches;
        this.events = events;
        hearing.setDaemon(true);
        caches.beforeCommit(this::tellRows);
        caches.catchUpBy(this::catchUp);
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        hearing.start();
    }

    /** In the transaction that wrote them: nobody hears of what is not committed. */
    private void tellRows(Set<Source> rows) {
        String news = text(new News(server, rows, null, null));
        tell(news.length() > LONGEST ? text(new News(server, Set.of(CommitCaches.ANYTHING), null, null)) : news);
    }

    /** The database tells in the order of commits. What is not heard in time is read anew instead. */
    private void catchUp() {
        if (!hearing.isAlive()) {
            return; // nobody is answered yet
        }
        String mark = UUID.randomUUID().toString();
        CompletableFuture<Void> heard = new CompletableFuture<>();
        marks.put(mark, heard);
        try {
            mark(text(new News(server, null, null, mark)));
            heard.get(WAIT_MS, TimeUnit.MILLISECONDS);
        } catch (SQLException | ExecutionException | TimeoutException notHeard) {
            caches.writtenElsewhere(Set.of(CommitCaches.ANYTHING));
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        } finally {
            marks.remove(mark);
        }
    }

    /** On a connection of its own: whoever waits here holds one of the pool’s. */
    private synchronized void mark(String news) throws SQLException {
        Connection open = marking;
        if (open == null || open.isClosed()) {
            open = connect();
            marking = open;
        }
        try (PreparedStatement tell = open.prepareStatement(TELL)) {
            tell.setString(1, news);
            tell.execute();
        } catch (SQLException lost) {
            open.close();
            throw lost;
        }
    }

    private Connection connect() throws SQLException {
        return DriverManager.getConnection(database.getJdbcUrl(), database.getUsername(), database.getPassword());
    }

    @EventListener
    void onChanged(RecordChanged changed) {
        if (!Thread.currentThread().equals(hearing)) {
            tell(text(new News(server, null, changed, null)));
        }
    }

    private void tell(String news) {
        sql.query(TELL, row -> {}, news);
    }

    private String text(News news) {
        try {
            return json.writeValueAsString(news);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private void hear() {
        boolean again = false;
        while (!stopped) {
            try (Connection connection = connect();
                    Statement listen = connection.createStatement()) {
                listen.execute("listen " + CHANNEL);
                caches.writtenElsewhere(Set.of(CommitCaches.ANYTHING)); // whatever was missed
                if (again) {
                    events.publishEvent(EVERYTHING);
                }
                again = true;
                PGConnection postgres = connection.unwrap(PGConnection.class);
                while (!stopped) {
                    PGNotification[] all = postgres.getNotifications(WAIT_MS);
                    for (PGNotification one : all == null ? new PGNotification[0] : all) {
                        take(one.getParameter());
                    }
                }
            } catch (SQLException lost) {
                LOG.warn("The studio’s database does not answer; it is asked again: {}", lost.getMessage());
                rest();
            }
        }
    }

    private static void rest() {
        try {
            TimeUnit.MILLISECONDS.sleep(WAIT_MS);
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    private void take(String text) {
        try {
            News news = json.readValue(text, News.class);
            if (news.server().equals(server)) {
                Optional.ofNullable(news.mark()).map(marks::get).ifPresent(mark -> mark.complete(null));
                return;
            }
            if (news.rows() != null) {
                caches.writtenElsewhere(news.rows());
            }
            if (news.changed() != null) {
                events.publishEvent(news.changed());
            }
        } catch (JsonProcessingException | RuntimeException wrong) {
            LOG.warn("News of another server is not understood; everything is read anew.", wrong);
            caches.writtenElsewhere(Set.of(CommitCaches.ANYTHING));
        }
    }

    @PreDestroy
    synchronized void stop() throws SQLException {
        stopped = true;
        hearing.interrupt();
        if (marking != null) {
            marking.close();
        }
    }
}
