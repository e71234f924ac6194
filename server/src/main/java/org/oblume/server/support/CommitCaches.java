package org.oblume.server.support;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManagerFactory;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BiPredicate;
import java.util.function.Consumer;
import java.util.function.Function;
import org.hibernate.engine.spi.SessionFactoryImplementor;
import org.hibernate.event.service.spi.EventListenerRegistry;
import org.hibernate.event.spi.EventType;
import org.hibernate.event.spi.PostDeleteEvent;
import org.hibernate.event.spi.PostDeleteEventListener;
import org.hibernate.event.spi.PostInsertEvent;
import org.hibernate.event.spi.PostInsertEventListener;
import org.hibernate.event.spi.PostUpdateEvent;
import org.hibernate.event.spi.PostUpdateEventListener;
import org.hibernate.persister.entity.EntityPersister;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.RecordSource.Source;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Answers kept in memory until a commit changes a row that they were read from. Hibernate tells of each changed row, so that no
 * writer can forget. From the moment that a transaction writes a row until it has ended, nothing that was read from it is
 * kept: others read what was committed before, the transaction itself reads what it wrote. Of several servers on one database
 * each tells the others (studio).
 */
@Component
public class CommitCaches implements SmartInitializingSingleton {

    /** All parts of the record at once. */
    public static final Source ANYTHING = new Source(RecordSource.Part.SCENE, Long.MIN_VALUE);

    private final ObjectProvider<EntityManagerFactory> factories;
    private final List<CommitCache<?, ?>> caches = new CopyOnWriteArrayList<>();
    private final List<Consumer<Set<Source>>> told = new CopyOnWriteArrayList<>();
    private final List<Runnable> heard = new CopyOnWriteArrayList<>();
    private final Map<Source, Integer> inFlux = new HashMap<>();
    /** When a transaction that wrote it last ended, counted in transactions. */
    private final Map<Source, Long> endedAt = new HashMap<>();

    private long transactionsEnded;

    public CommitCaches(ObjectProvider<EntityManagerFactory> factories) {
        this.factories = factories;
    }

    /**
     * A cache.
     *
     * @param most entries that it holds; those not asked for go first
     * @param readFrom whether an answer was read from a part of the record
     */
    public <K, V> CommitCache<K, V> cache(int most, BiPredicate<V, Source> readFrom) {
        CommitCache<K, V> cache = new CommitCache<>(most, readFrom, this);
        caches.add(cache);
        return cache;
    }

    @Override
    public void afterSingletonsInstantiated() {
        EventListenerRegistry listeners = factories
                .getObject()
                .unwrap(SessionFactoryImplementor.class)
                .getServiceRegistry()
                .requireService(EventListenerRegistry.class);
        Rows rows = new Rows();
        listeners.appendListeners(EventType.POST_INSERT, rows);
        listeners.appendListeners(EventType.POST_UPDATE, rows);
        listeners.appendListeners(EventType.POST_DELETE, rows);
    }

    /**
     * Remembers what was committed by now: what this transaction makes of what it reads from here on may be kept once it is
     * committed, see {@link CommitCache#keepWhenCommitted}.
     */
    public void readFromHere() {
        Transaction.current(this).readFrom = now();
    }

    /** Tells somebody what a transaction wrote, before it is committed and within it. */
    public void beforeCommit(Consumer<Set<Source>> tell) {
        told.add(tell);
    }

    /** Names what waits until all is heard that other servers committed by now. */
    public void catchUpBy(Runnable wait) {
        heard.add(wait);
    }

    /** Whoever has locked a part of the record reads it from here on as the last one left it, at whatever server. */
    public void catchUp() {
        heard.forEach(Runnable::run);
    }

    /** Another server committed rows: what was read from them falls, and what is being read from them is not kept. */
    public synchronized void writtenElsewhere(Set<Source> sources) {
        transactionsEnded++;
        for (Source source : sources) {
            endedAt.put(source, transactionsEnded);
            caches.forEach(cache -> cache.drop(source));
        }
    }

    /** This transaction writes past Hibernate, whatever rows: nothing is kept until it has ended, and nothing from before it. */
    public void anythingIsWritten() {
        Transaction.current(this).add(ANYTHING);
    }

    private void written(Object row) {
        if (row instanceof RecordSource part) {
            Transaction.current(this).add(part.source());
        }
    }

    private synchronized long now() {
        return transactionsEnded;
    }

    private synchronized void begin(Source source) {
        inFlux.merge(source, 1, Integer::sum);
        caches.forEach(cache -> cache.drop(source));
    }

    private synchronized void end(Transaction transaction, boolean committed) {
        transaction.written.forEach(source -> inFlux.computeIfPresent(source, (s, n) -> n == 1 ? null : n - 1));
        List<Made<?, ?>> sound = transaction.made.stream()
                .filter(made -> committed && made.isSound(this, transaction.readFrom))
                .toList();
        transactionsEnded++;
        for (Source source : transaction.written) {
            endedAt.put(source, transactionsEnded);
            caches.forEach(cache -> cache.drop(source));
        }
        sound.forEach(Made::keep);
    }

    /** Whether nothing that an answer was read from is being written, or was by a transaction that ended since. */
    private <V> boolean isSound(CommitCache<?, V> cache, V answer, long since) {
        return inFlux.keySet().stream().noneMatch(source -> cache.readFrom.test(answer, source))
                && endedAt.entrySet().stream()
                        .noneMatch(ended -> ended.getValue() > since && cache.readFrom.test(answer, ended.getKey()));
    }

    private synchronized <V> boolean holds(CommitCache<?, V> cache, V answer, long since) {
        return isSound(cache, answer, since);
    }

    private synchronized <K, V> void keep(CommitCache<K, V> cache, K key, V answer, long since) {
        if (isSound(cache, answer, since)) {
            cache.kept.put(key, answer);
        }
    }

    /** An answer that a transaction made of what it read and wrote. */
    private record Made<K, V>(CommitCache<K, V> cache, K key, V answer) {

        void keep() {
            cache.kept.put(key, answer);
        }

        boolean isSound(CommitCaches all, long since) {
            return all.isSound(cache, answer, since);
        }

        boolean isReadFrom(Source source) {
            return cache.readFrom.test(answer, source);
        }
    }

    /** What one transaction has written and made so far. */
    private static final class Transaction implements TransactionSynchronization {

        private final CommitCaches caches;
        private final Set<Source> written = new HashSet<>();
        private final List<Made<?, ?>> made = new ArrayList<>();
        private long readFrom = -1;

        Transaction(CommitCaches caches) {
            this.caches = caches;
        }

        static Transaction current(CommitCaches caches) {
            return TransactionSynchronizationManager.getSynchronizations().stream()
                    .filter(s -> s instanceof Transaction t && t.caches == caches)
                    .map(Transaction.class::cast)
                    .findFirst()
                    .orElseGet(() -> {
                        Transaction begun = new Transaction(caches);
                        TransactionSynchronizationManager.registerSynchronization(begun);
                        return begun;
                    });
        }

        /** What was made before of what is written now is out of date. */
        void add(Source source) {
            made.removeIf(m -> m.isReadFrom(source));
            if (written.add(source)) {
                caches.begin(source);
            }
        }

        @Override
        public void beforeCommit(boolean readOnly) {
            if (!written.isEmpty()) {
                caches.told.forEach(tell -> tell.accept(Set.copyOf(written)));
            }
        }

        @Override
        public void afterCompletion(int status) {
            caches.end(this, status == STATUS_COMMITTED);
        }
    }

    private final class Rows implements PostInsertEventListener, PostUpdateEventListener, PostDeleteEventListener {

        private static final long serialVersionUID = 1;

        @Override
        public void onPostInsert(PostInsertEvent event) {
            written(event.getEntity());
        }

        @Override
        public void onPostUpdate(PostUpdateEvent event) {
            written(event.getEntity());
        }

        @Override
        public void onPostDelete(PostDeleteEvent event) {
            written(event.getEntity());
        }

        @Override
        public boolean requiresPostCommitHandling(EntityPersister persister) {
            return false;
        }
    }

    /** An answer that somebody reads from what was committed by then; empty when that failed. */
    private record Reading<V>(long since, CompletableFuture<Optional<V>> answer) {}

    /** Answers by key. */
    public static final class CommitCache<K, V> {

        private final Cache<K, V> kept;
        private final ConcurrentMap<K, Reading<V>> beingRead = new ConcurrentHashMap<>();
        private final BiPredicate<V, Source> readFrom;
        private final CommitCaches all;

        private CommitCache(int most, BiPredicate<V, Source> readFrom, CommitCaches all) {
            this.kept = Caffeine.newBuilder().maximumSize(most).build();
            this.readFrom = (answer, source) -> source.equals(ANYTHING) || readFrom.test(answer, source);
            this.all = all;
        }

        /** The answer that is kept, else read now; once, when several ask for it at the same time. */
        public V get(K key, Function<K, V> read) {
            @Nullable V known = kept.getIfPresent(key);
            if (known != null) {
                return known;
            }
            Reading<V> own = new Reading<>(all.now(), new CompletableFuture<>());
            @Nullable Reading<V> first = beingRead.putIfAbsent(key, own);
            if (first != null) {
                Optional<V> theirs = first.answer().join();
                if (theirs.isPresent() && all.holds(this, theirs.get(), first.since())) {
                    return theirs.get();
                }
                return readAndKept(key, read, all.now());
            }
            try {
                V answer = readAndKept(key, read, own.since());
                own.answer().complete(Optional.of(answer));
                return answer;
            } finally {
                beingRead.remove(key, own);
                own.answer().complete(Optional.empty()); // for those who wait, when it could not be read
            }
        }

        private V readAndKept(K key, Function<K, V> read, long since) {
            V answer = read.apply(key);
            all.keep(this, key, answer, since);
            return answer;
        }

        /**
         * Keeps what this transaction makes of an answer that it read after {@link CommitCaches#readFromHere}, once it is committed:
         * unless it writes more of what the answer was read from, or somebody else did meanwhile.
         */
        public void keepWhenCommitted(K key, V answer) {
            Transaction current = Transaction.current(all);
            current.made.removeIf(made -> made.cache == this && made.key.equals(key));
            if (current.readFrom >= 0) {
                current.made.add(new Made<>(this, key, answer));
            }
        }

        private void drop(Source source) {
            kept.asMap().values().removeIf(answer -> readFrom.test(answer, source));
        }
    }
}
