package org.oblume.server.idempotency;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class ForgottenKeysTest {

    @Autowired
    private IdempotencyKeys keys;

    @Autowired
    private IdempotencyKeyRepository repository;

    @Autowired
    private Clock clock;

    private KeyedCall done(String key, Duration ago) {
        KeyedCall call = new KeyedCall("gaffer " + key, "gaffer", "POST /api/shots/1/notes");
        Instant at = clock.instant().minus(ago);
        repository.saveAndFlush(new IdempotencyKeyEntity(call, at));
        keys.keepAnswer(call, new KeptAnswer(201, "application/json", null, new byte[] {'{', '}'}));
        return call;
    }

    @Test
    void answersAreForgottenAfterTwoDaysAndKeysAfterNinety() {
        KeyedCall today = done("today", Duration.ofHours(1));
        KeyedCall lastWeek = done("last week", Duration.ofDays(7));
        KeyedCall lastSeason = done("last season", Duration.ofDays(91));
        keys.prune();
        assertThat(answer(today).body()).hasSize(2);
        assertThat(answer(lastWeek).body()).isEmpty();
        assertThat(answer(lastWeek).status()).as("it is still known to be done").isEqualTo(201);
        assertThat(keys.find(lastSeason)).isEmpty();
    }

    private KeptAnswer answer(KeyedCall call) {
        return Objects.requireNonNull(keys.find(call).orElseThrow().answer());
    }
}
