package org.oblume.server.idempotency;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface IdempotencyKeyRepository extends JpaRepository<IdempotencyKeyEntity, String> {

    @Modifying
    @Query("update IdempotencyKeyEntity k set k.status = :status, k.contentType = :contentType, k.etag = :etag, "
            + "k.body = :body where k.id = :id")
    void keepAnswer(String id, int status, @Nullable String contentType, @Nullable String etag, byte @Nullable [] body);

    @Modifying
    @Query("update IdempotencyKeyEntity k set k.body = null where k.at < :before and k.body is not null")
    void forgetBodies(Instant before);

    @Modifying
    @Query("delete from IdempotencyKeyEntity k where k.at < :before")
    void forgetKeys(Instant before);
}
