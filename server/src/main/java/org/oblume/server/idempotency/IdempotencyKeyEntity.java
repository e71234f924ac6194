package org.oblume.server.idempotency;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;

/** A call that was done, and its answer once that is known. */
@Entity
@Table(name = "idempotency_key")
class IdempotencyKeyEntity implements Persistable<String> {

    @Id
    private String id = "";

    @SuppressWarnings("UnusedVariable") // for whoever reads the database
    private String author = "";

    @Column(name = "done_at")
    @SuppressWarnings("UnusedVariable") // it is pruned by
    private Instant at = Instant.EPOCH;

    private @Nullable String call;
    private @Nullable Integer status;
    private @Nullable String contentType;
    private @Nullable String etag;
    private byte @Nullable [] body;

    protected IdempotencyKeyEntity() {}

    IdempotencyKeyEntity(KeyedCall call, Instant at) {
        this.id = call.id();
        this.author = call.person();
        this.call = call.what();
        this.at = at;
    }

    @Override
    public @Nullable String getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return true;
    }

    /** Method and path; null for a key of an earlier version. */
    @Nullable
    String call() {
        return call;
    }

    /** Null when the server stopped before the answer was kept, or it is an old one. */
    @Nullable
    KeptAnswer answer() {
        return status == null ? null : new KeptAnswer(status, contentType, etag, body == null ? new byte[0] : body);
    }
}
