package org.oblume.server.team;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;

/**
 * Slows down whoever guesses. After five wrong passphrases for a name from one address each further try waits twice as long, up to five
 * minutes; so does an address that tries many names, and a name that is tried from many addresses. A device that its person has signed in
 * on before is counted by itself: nobody else's guesses keep that person out.
 */
@Component
class SignInAttempts {

    private static final Duration FIRST_WAIT = Duration.ofSeconds(5);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(5);
    private static final int MOST = 5000;
    private final Clock clock;
    /** Those tried longest ago are forgotten first. */
    private final Map<Counted, Failed> failed = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Counted, Failed> eldest) {
            return size() > MOST;
        }
    };

    private record Failed(int times, Instant until) {}

    /** What is counted, and how many wrong ones it may have before it waits. */
    private record Counted(String what, int free) {

        private static final int FROM_ONE_PLACE = 5;
        private static final int OF_AN_ADDRESS = 20;
        private static final int OF_A_NAME = 40;
    }

    /**
     * Where somebody tries from.
     *
     * @param known what the device shows that its person has signed in on it before, or empty
     */
    record From(String address, String known) {}

    SignInAttempts(Clock clock) {
        this.clock = clock;
    }

    private static List<Counted> counted(String name, From from) {
        String key = AccountEntity.key(name);
        return from.known().isEmpty()
                ? List.of(
                        new Counted("name " + key + " from " + from.address(), Counted.FROM_ONE_PLACE),
                        new Counted("from " + from.address(), Counted.OF_AN_ADDRESS),
                        new Counted("name " + key, Counted.OF_A_NAME))
                : List.of(new Counted("name " + key + " on " + from.known(), Counted.FROM_ONE_PLACE));
    }

    /** How long to wait before this name may be tried again from there; zero when it may be tried now. */
    synchronized Duration wait(String name, From from) {
        Instant now = clock.instant();
        return counted(name, from).stream()
                .map(failed::get)
                .filter(Objects::nonNull)
                .map(before -> Duration.between(now, before.until()))
                .filter(left -> !left.isNegative())
                .max(Duration::compareTo)
                .orElse(Duration.ZERO);
    }

    synchronized void failed(String name, From from) {
        for (Counted one : counted(name, from)) {
            Failed before = failed.get(one);
            int times = before == null ? 1 : before.times() + 1;
            Duration wait = times < one.free()
                    ? Duration.ZERO
                    : FIRST_WAIT.multipliedBy(1L << Math.min(times - one.free(), 10));
            failed.put(
                    one,
                    new Failed(times, clock.instant().plus(wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait)));
        }
    }

    /** What others tried is not forgiven for it. */
    synchronized void succeeded(String name, From from) {
        failed.remove(counted(name, from).get(0));
    }
}
