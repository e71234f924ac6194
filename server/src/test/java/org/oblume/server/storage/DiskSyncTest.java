package org.oblume.server.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class DiskSyncTest {

    @Test
    void thoseWhoWaitTogetherShareTheNextSync() throws Exception {
        AtomicInteger syncs = new AtomicInteger();
        CountDownLatch first = new CountDownLatch(1);
        CountDownLatch goOn = new CountDownLatch(1);
        DiskSync disk = new DiskSync(() -> {
            if (syncs.incrementAndGet() == 1) {
                first.countDown();
                await(goOn);
            }
        });
        ExecutorService people = Executors.newFixedThreadPool(11);
        List<Future<?>> waiting = new ArrayList<>();
        waiting.add(people.submit(disk::await));
        first.await();
        for (int i = 0; i < 10; i++) {
            waiting.add(people.submit(disk::await));
        }
        while (disk.waiting() < 11) {
            Thread.onSpinWait();
        }
        assertThat(waiting).noneMatch(Future::isDone);
        goOn.countDown();
        for (Future<?> one : waiting) {
            one.get();
        }
        people.shutdown();
        // the first began before the others committed: it is not theirs
        assertThat(syncs).hasValue(2);
    }

    @Test
    void aSyncThatFailsIsToldToWhoeverWaitsAndTriedAgainByTheNext() {
        AtomicInteger syncs = new AtomicInteger();
        DiskSync disk = new DiskSync(() -> {
            if (syncs.incrementAndGet() == 1) {
                throw new IOException("No space left on device");
            }
        });
        assertThatThrownBy(disk::await)
                .isInstanceOf(NotOnDiskException.class)
                .hasRootCauseMessage("No space left on device");
        disk.await();
        assertThat(syncs).hasValue(2);
    }

    private static void await(CountDownLatch latch) throws IOException {
        try {
            latch.await();
        } catch (InterruptedException stopped) {
            throw new IOException(stopped);
        }
    }
}
