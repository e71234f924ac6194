package org.oblume.server.team;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Slows down whoever guesses: after five wrong passphrases for a name each further try waits twice as long, up to five minutes. */
@Component
class SignInAttempts {

    private static final int FREE = 5;
    private static final Duration FIRST_WAIT = Duration.ofSeconds(5);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(5);
    private static final int MOST_NAMES = 5000;
    private final Clock clock;
    /** The names tried longest ago are forgotten first. */
    private final Map<String, Failed> failed = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Failed> eldest) {
            return size() > MOST_NAMES;
        }
    };

    private record Failed(int times, Instant until) {}

    SignInAttempts(Clock clock) {
        this.clock = clock;
    }

    /** How long this name has to wait before it may be tried again; zero when it may be tried now. */
    synchronized Duration wait(String name) {
        Failed before = failed.get(AccountEntity.key(name));
        Duration left = before == null ? Duration.ZERO : Duration.between(clock.instant(), before.until());
        return left.isNegative() ? Duration.ZERO : left;
    }

    synchronized void failed(String name) {
        Failed before = failed.get(AccountEntity.key(name));
        int times = before == null ? 1 : before.times() + 1;
        Duration wait = times < FREE ? Duration.ZERO : FIRST_WAIT.multipliedBy(1L << Math.min(times - FREE, 10));
        failed.put(
                AccountEntity.key(name),
                new Failed(times, clock.instant().plus(wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait)));
    }

    synchronized void succeeded(String name) {
        failed.remove(AccountEntity.key(name));
    }
}
