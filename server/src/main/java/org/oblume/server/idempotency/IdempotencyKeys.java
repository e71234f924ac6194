package org.oblume.server.idempotency;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import org.oblume.server.storage.KeptLater;
import org.oblume.server.storage.RecordFile;
import org.oblume.server.support.BusyException;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.ResponseEntity;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Calls that were done, by their keys. */
@Component
class IdempotencyKeys {

    /** A device that was away longer than this sends what it kept as new. */
    private static final Duration KEYS_KEPT = Duration.ofDays(90);
    /** Whoever did not hear an answer asks again soon. */
    private static final Duration BODIES_KEPT = Duration.ofDays(2);

    private static final int LARGEST_BODY = 256 * 1024;
    private final IdempotencyKeyRepository keys;
    private final TransactionTemplate transaction;
    private final TransactionTemplate later;
    private final RecordFile file;
    private final Clock clock;

    IdempotencyKeys(
            IdempotencyKeyRepository keys, PlatformTransactionManager transactions, RecordFile file, Clock clock) {
        this.keys = keys;
        transaction = new TransactionTemplate(transactions);
        later = new TransactionTemplate(transactions);
        later.setName(KeptLater.NAME);
        this.file = file;
        this.clock = clock;
    }

    /** What was done with the key before, and is on the disk: whoever sends again was perhaps never told. */
    Optional<IdempotencyKeyEntity> find(KeyedCall call) {
        Optional<IdempotencyKeyEntity> before = keys.findById(call.id());
        if (before.isPresent()) {
            file.awaitSync();
        }
        return before;
    }

    /**
     * Does a call and keeps its key in one transaction: either both are kept or neither. The answer is written after it, when
     * nothing is locked any more.
     *
     * @throws BusyException when the same call is being done at this moment
     */
    @Nullable
    Object doOnce(KeyedCall call, Callable<@Nullable Object> work) throws Exception {
        try {
            return transaction.execute(status -> {
                keep(call);
                try {
                    Object answer = work.call();
                    if (answer instanceof ResponseEntity<?> response
                            && response.getStatusCode().isError()) {
                        status.setRollbackOnly();
                    }
                    return answer;
                } catch (RuntimeException refused) {
                    throw refused;
                } catch (Exception failed) {
                    throw new FailedInTransaction(failed);
                }
            });
        } catch (FailedInTransaction failed) {
            throw failed.reason;
        }
    }

    private void keep(KeyedCall call) {
        try {
            keys.saveAndFlush(new IdempotencyKeyEntity(call, clock.instant()));
        } catch (DataIntegrityViolationException | ConcurrencyFailureException twiceAtOnce) {
            throw new BusyException("%s was sent twice at once".formatted(call.what()));
        }
    }

    void keepAnswer(KeyedCall call, KeptAnswer answer) {
        later.executeWithoutResult(status -> keys.keepAnswer(
                call.id(),
                answer.status(),
                answer.contentType(),
                answer.etag(),
                answer.body().length > LARGEST_BODY ? null : answer.body()));
    }

    @Transactional
    @Scheduled(initialDelayString = "PT10M", fixedDelayString = "P1D")
    void prune() {
        keys.forgetBodies(clock.instant().minus(BODIES_KEPT));
        keys.forgetKeys(clock.instant().minus(KEYS_KEPT));
    }

    private static final class FailedInTransaction extends RuntimeException {

        private final transient Exception reason;

        FailedInTransaction(Exception reason) {
            super(reason);
            this.reason = reason;
        }
    }
}
