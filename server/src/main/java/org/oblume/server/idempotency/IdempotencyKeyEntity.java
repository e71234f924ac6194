package org.oblume.server.idempotency;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;

/** A call that was done. */
@Entity
@Table(name = "idempotency_key")
class IdempotencyKeyEntity implements Persistable<String> {

    @Id
    private String id = "";

    @SuppressWarnings("UnusedVariable") // for whoever reads the database
    private String author = "";

    @Column(name = "done_at")
    private Instant at = Instant.EPOCH;

    protected IdempotencyKeyEntity() {}

    IdempotencyKeyEntity(String id, String author, Instant at) {
        this.id = id;
        this.author = author;
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
}
