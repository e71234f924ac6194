package org.oblume.server.support;

import java.time.Duration;
import java.util.concurrent.Callable;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Calls are worked at in the order in which they came, as many at once as the processors and the pool of connections carry: were there more,
 * each would be slower, and some would wait for a connection until they are given up.
 */
@Component
public class Turns {

    private static final int FOR_EACH_PROCESSOR = 3;
    /** Some wait for a lock meanwhile. */
    private static final int LEAST = 8;

    /** Fewer than the pool has connections: who is there is read by it too. */
    private static final int MOST = 16;

    private static final Duration LONGEST_WAIT = Duration.ofSeconds(30);

    private final Semaphore free;
    private final Duration longestWait;

    public Turns() {
        this(atOnce(Runtime.getRuntime().availableProcessors()), LONGEST_WAIT);
    }

    Turns(int atOnce, Duration longestWait) {
        this.free = new Semaphore(atOnce, true);
        this.longestWait = longestWait;
    }

    private static int atOnce(int processors) {
        return Math.min(MOST, Math.max(LEAST, FOR_EACH_PROCESSOR * processors));
    }

    /**
     * Works at it when it is its turn.
     *
     * @throws BusyException when that did not come in time; nothing was begun then
     */
    public <T> @Nullable T take(Callable<@Nullable T> work) throws Exception {
        if (!free.tryAcquire(longestWait.toMillis(), TimeUnit.MILLISECONDS)) {
            throw new BusyException("It was not its turn within %d s.".formatted(longestWait.toSeconds()));
        }
        try {
            return work.call();
        } finally {
            free.release();
        }
    }
}
