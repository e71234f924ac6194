package org.oblume.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManagerFactory;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.oblume.server.scene.SceneService;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.CommitCaches.CommitCache;
import org.oblume.server.support.RecordSource.Part;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** What is kept in memory is what was committed: never older once its writer has been answered, never newer. */
@ServerTest
class CommitCachesTest {

    private static int made;

    @Autowired
    private Api api;

    @Autowired
    private CommitCaches caches;

    @Autowired
    private StoredScenes records;

    @Autowired
    private SceneService scenes;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private EntityManagerFactory database;

    private long shot;

    @BeforeEach
    void aShotOfItsOwn() {
        shot = api.shotFrom("4N" + ++made, api.shot("4A"));
    }

    private Statistics counted() {
        Statistics statistics = database.unwrap(SessionFactory.class).getStatistics();
        statistics.setStatisticsEnabled(true);
        statistics.clear();
        return statistics;
    }

    private void drag(double x) {
        assertThat(api.post(
                                "/api/shots/" + shot + "/light",
                                "{\"changes\":[{\"placement\":\"key\",\"attribute\":\"PLACE\",\"value\":{\"xM\":%s,\"yM\":2,\"outside\":false}}],\"holds\":[],\"out\":[]}"
                                        .formatted(x))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void aDraggedHeadReadsNothingFromTheDatabase() {
        drag(2);
        Statistics counted = counted();
        drag(2.1);
        drag(2.2);
        assertThat(counted.getPrepareStatementCount()).isZero();
    }

    @Test
    void anEditIsSeenByWhoeverAsksAfterItWasAnswered() {
        drag(2);
        for (int level = 10; level < 20; level++) {
            assertThat(api.tie(
                                    shot,
                                    "key",
                                    "LEVEL",
                                    "{\"text\":\"%d\",\"reason\":\"LOOK\"}".formatted(level),
                                    level - 10)
                            .status())
                    .isEqualTo(200);
            assertThat(api.say(shot, "key", "LEVEL")).isEqualTo(level + " %");
        }
    }

    @Test
    void whatAnEditMadeOfTheSceneIsKeptAndNotReadAgain() {
        drag(2);
        edit("key", 10, 0);
        Statistics counted = counted();
        drag(2);
        assertThat(counted.getPrepareStatementCount())
                .as("a drag after an edit")
                .isZero();
        assertThat(api.say(shot, "key", "LEVEL")).isEqualTo("10 %");
    }

    private int edit(String head, int level, int revision) {
        return api.tie(shot, head, "LEVEL", "{\"text\":\"%d\",\"reason\":\"LOOK\"}".formatted(level), revision)
                .status();
    }

    /** Edits of values, of placements and of shots' cards, all at once: what is kept then is what the database has. */
    @Test
    void whateverManyDoAtOnceWhatIsKeptIsTheRecord() {
        long scene = api.sceneOf(shot);
        List<CompletableFuture<Void>> crew = Stream.of("key", "edge", "ambience")
                .map(head -> CompletableFuture.runAsync(() -> {
                    for (int i = 0; i < 12; i++) {
                        assertThat(edit(head, 20 + i, i)).isEqualTo(200);
                    }
                }))
                .collect(Collectors.toCollection(ArrayList::new));
        crew.add(CompletableFuture.runAsync(() -> {
            for (int i = 0; i < 8; i++) {
                int placed = i;
                transaction.executeWithoutResult(
                        status -> scenes.place(scene, AnyPlacement.called("Beside %d %d".formatted(made, placed))));
                api.shotFrom("4N%d.%d".formatted(made, i), shot);
            }
        }));
        crew.forEach(CompletableFuture::join);
        StoredScene kept = records.of(scene);
        transaction.executeWithoutResult(status -> scenes.place(scene, AnyPlacement.called("Last of all " + made)));
        StoredScene read = records.of(scene);
        assertThat(kept.knots()).containsExactlyInAnyOrderElementsOf(read.knots());
        assertThat(kept.shots()).isEqualTo(read.shots());
        assertThat(kept.placed())
                .isEqualTo(read.placed().subList(0, read.placed().size() - 1));
    }

    @Test
    void whatWasWrittenAndThenTakenBackIsSeenByNobody() {
        long scene = api.sceneOf(shot);
        int before = records.of(scene).placed().size();
        transaction.executeWithoutResult(status -> {
            scenes.place(scene, AnyPlacement.called("Taken back " + made));
            assertThat(records.of(scene).placed()).as("by itself").hasSize(before + 1);
            assertThat(CompletableFuture.supplyAsync(
                                    () -> records.of(scene).placed().size())
                            .join())
                    .as("by others")
                    .isEqualTo(before);
            status.setRollbackOnly();
        });
        assertThat(records.of(scene).placed()).hasSize(before);
    }

    @Test
    void anAnswerThatWasBeingReadWhileItsRowsChangedIsNotKept() throws Exception {
        long scene = api.sceneOf(shot);
        AtomicInteger reads = new AtomicInteger();
        CommitCache<String, Integer> cache =
                caches.cache(1, (answer, changed) -> changed.part() == Part.SCENE && changed.id() == scene);
        CountDownLatch reading = new CountDownLatch(1);
        CountDownLatch committed = new CountDownLatch(1);
        CompletableFuture<Integer> slow = CompletableFuture.supplyAsync(() -> cache.get("answer", key -> {
            reading.countDown();
            await(committed);
            return reads.incrementAndGet();
        }));
        await(reading);
        transaction.executeWithoutResult(status -> scenes.place(scene, AnyPlacement.called("Meanwhile " + made)));
        committed.countDown();
        assertThat(slow.get(20, TimeUnit.SECONDS)).isEqualTo(1);
        assertThat(cache.get("answer", key -> reads.incrementAndGet())).isEqualTo(2);
        assertThat(cache.get("answer", key -> reads.incrementAndGet()))
                .as("kept now")
                .isEqualTo(2);
    }

    /** Asked for by two at once: the second asks while the first still reads, after what is done in between. */
    private List<Integer> askedAtOnce(AtomicInteger reads, Runnable between) throws Exception {
        long scene = api.sceneOf(shot);
        CommitCache<String, Integer> cache =
                caches.cache(1, (answer, changed) -> changed.part() == Part.SCENE && changed.id() == scene);
        CountDownLatch reading = new CountDownLatch(1);
        CountDownLatch waits = new CountDownLatch(1);
        CompletableFuture<Integer> first = CompletableFuture.supplyAsync(() -> cache.get("answer", key -> {
            reading.countDown();
            await(waits);
            return reads.incrementAndGet();
        }));
        await(reading);
        between.run();
        CompletableFuture<Integer> second = new CompletableFuture<>();
        Thread asks = new Thread(() -> second.complete(cache.get("answer", key -> reads.incrementAndGet())));
        asks.start();
        while (asks.getState() != Thread.State.WAITING && asks.isAlive()) {
            Thread.onSpinWait();
        }
        waits.countDown();
        return List.of(first.get(20, TimeUnit.SECONDS), second.get(20, TimeUnit.SECONDS));
    }

    @Test
    void whatTwoAskForAtOnceIsReadOnce() throws Exception {
        AtomicInteger reads = new AtomicInteger();
        assertThat(askedAtOnce(reads, () -> {})).containsExactly(1, 1);
        assertThat(reads).hasValue(1);
    }

    @Test
    void whoAsksAfterAnEditIsNotAnsweredByAReadingFromBeforeIt() throws Exception {
        long scene = api.sceneOf(shot);
        AtomicInteger reads = new AtomicInteger();
        assertThat(askedAtOnce(
                        reads,
                        () -> transaction.executeWithoutResult(
                                status -> scenes.place(scene, AnyPlacement.called("Between " + made)))))
                .containsExactly(1, 2);
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(20, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }
}
