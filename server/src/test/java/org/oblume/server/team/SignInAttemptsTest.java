package org.oblume.server.team;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.oblume.server.team.SignInAttempts.From;

class SignInAttemptsTest {

    private static final From HERE = new From("10.0.0.7", "");
    private final SignInAttempts attempts =
            new SignInAttempts(Clock.fixed(Instant.parse("2026-11-18T20:00:00Z"), ZoneOffset.UTC));

    @Test
    void eachWrongOneAfterTheFifthWaitsTwiceAsLongUpToFiveMinutes() {
        wrong("gaffer", HERE, 4);
        assertThat(attempts.wait("Gaffer", HERE)).isZero();
        wrong("gaffer", HERE, 1);
        assertThat(attempts.wait("Gaffer", HERE)).isEqualTo(Duration.ofSeconds(5));
        wrong("gaffer", HERE, 1);
        assertThat(attempts.wait("gaffer", HERE)).isEqualTo(Duration.ofSeconds(10));
        wrong("gaffer", HERE, 20);
        assertThat(attempts.wait("gaffer", HERE)).isEqualTo(Duration.ofMinutes(5));
    }

    @Test
    void guessesFromOneAddressDoNotKeepOutAnother() {
        wrong("gaffer", HERE, 10);
        assertThat(attempts.wait("gaffer", new From("10.0.0.8", ""))).isZero();
    }

    @Test
    void anAddressThatTriesManyNamesWaits() {
        for (int i = 0; i < 20; i++) {
            wrong("name " + i, HERE, 1);
        }
        assertThat(attempts.wait("one more", HERE)).isPositive();
        assertThat(attempts.wait("one more", new From("10.0.0.8", ""))).isZero();
    }

    @Test
    void aNameThatIsTriedFromManyAddressesWaitsEverywhereButOnItsOwnDevice() {
        for (int i = 0; i < 40; i++) {
            wrong("gaffer", new From("10.0.1." + i, ""), 1);
        }
        assertThat(attempts.wait("gaffer", HERE)).isPositive();
        assertThat(attempts.wait("gaffer", new From("10.0.0.7", "mark"))).isZero();
    }

    private void wrong(String name, From from, int times) {
        for (int i = 0; i < times; i++) {
            attempts.failed(name, from);
        }
    }
}
