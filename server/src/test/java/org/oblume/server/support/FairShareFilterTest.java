package org.oblume.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.FilterChain;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class FairShareFilterTest {

    private static final int AT_ONCE = 6;

    private final FairShareFilter filter = new FairShareFilter();
    private final ExecutorService calls = Executors.newCachedThreadPool();
    private final CountDownLatch done = new CountDownLatch(1);
    private final AtomicInteger inside = new AtomicInteger();

    @AfterEach
    void end() {
        done.countDown();
        calls.shutdownNow();
    }

    @Test
    void whoAsksForMoreThanSixThingsAtOnceWaitsForThemselvesAndNobodyElseDoes() throws Exception {
        CountDownLatch six = new CountDownLatch(AT_ONCE);
        FilterChain slow = (request, response) -> {
            inside.incrementAndGet();
            six.countDown();
            try {
                done.await();
            } catch (InterruptedException ended) {
                Thread.currentThread().interrupt();
            }
        };
        CompletableFuture<?>[] asked = new CompletableFuture<?>[3 * AT_ONCE];
        for (int i = 0; i < asked.length; i++) {
            asked[i] = CompletableFuture.runAsync(() -> call("greedy", "/api/scenes/1/export", slow), calls);
        }
        assertThat(six.await(10, TimeUnit.SECONDS)).isTrue();
        AtomicInteger answered = new AtomicInteger();
        call("gaffer", "/api/book", (request, response) -> answered.incrementAndGet());
        call("greedy", "/api/live", (request, response) -> answered.incrementAndGet());
        assertThat(answered).hasValue(2);
        assertThat(inside).hasValue(AT_ONCE);
        done.countDown();
        CompletableFuture.allOf(asked).get(10, TimeUnit.SECONDS);
        assertThat(inside).hasValue(asked.length);
    }

    private void call(String person, String path, FilterChain chain) {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", path);
        request.setUserPrincipal(() -> person);
        try {
            filter.doFilter(request, new MockHttpServletResponse(), chain);
        } catch (Exception failed) {
            throw new IllegalStateException(failed);
        }
    }
}
