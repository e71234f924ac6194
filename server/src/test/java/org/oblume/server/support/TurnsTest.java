package org.oblume.server.support;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class TurnsTest {

    private final CountDownLatch done = new CountDownLatch(1);

    @Test
    void asManyAreWorkedAtAsFitAndEverybodyIsAnswered() throws Exception {
        Turns turns = new Turns(2, Duration.ofSeconds(20));
        AtomicInteger now = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        List<CompletableFuture<Integer>> all = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            int call = i;
            all.add(CompletableFuture.supplyAsync(() -> inTurn(turns, () -> {
                most.accumulateAndGet(now.incrementAndGet(), Math::max);
                Thread.yield();
                now.decrementAndGet();
                return call;
            })));
        }
        for (int i = 0; i < all.size(); i++) {
            assertThat(all.get(i).get(20, TimeUnit.SECONDS)).isEqualTo(i);
        }
        assertThat(most.get()).isBetween(1, 2);
    }

    @Test
    void whoWaitsInVainIsToldToComeAgainAndNothingWasBegun() throws Exception {
        Turns turns = new Turns(1, Duration.ofMillis(20));
        CountDownLatch begun = new CountDownLatch(1);
        CompletableFuture<Integer> first = CompletableFuture.supplyAsync(() -> inTurn(turns, () -> {
            begun.countDown();
            done.await();
            return 1;
        }));
        begun.await();
        AtomicInteger worked = new AtomicInteger();
        assertThatThrownBy(() -> turns.take(worked::incrementAndGet)).isInstanceOf(BusyException.class);
        done.countDown();
        assertThat(first.get(20, TimeUnit.SECONDS)).isEqualTo(1);
        assertThat(worked).hasValue(0);
        assertThat(turns.take(worked::incrementAndGet)).isEqualTo(1);
    }

    @Test
    void aCallThatFailsLeavesItsPlace() throws Exception {
        Turns turns = new Turns(1, Duration.ofMillis(20));
        assertThatThrownBy(() -> turns.take(() -> {
                    throw new IllegalStateException("boom");
                }))
                .hasMessage("boom");
        assertThat(turns.take(() -> 7)).isEqualTo(7);
    }

    private static Integer inTurn(Turns turns, java.util.concurrent.Callable<Integer> work) {
        try {
            return turns.take(work);
        } catch (Exception failed) {
            throw new IllegalStateException(failed);
        }
    }
}
