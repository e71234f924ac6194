package org.oblume.server.truck;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** A pull list. */
@Entity
@Table(name = "pull_list")
class PullListEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "production_id")
    private long productionId;

    /** JSON. */
    private String subject = "";

    @Column(name = "made_at")
    private Instant madeAt = Instant.EPOCH;

    @Column(name = "made_by")
    private String madeBy = "";

    @Column(name = "wrapped_at")
    private @Nullable Instant wrappedAt;

    @Column(name = "wrapped_by")
    private @Nullable String wrappedBy;

    protected PullListEntity() {}

    PullListEntity(long productionId, String subject, Instant at, String by) {
        this.productionId = productionId;
        this.subject = subject;
        this.madeAt = at;
        this.madeBy = by;
    }

    long id() {
        return id == null ? 0 : id;
    }

    long productionId() {
        return productionId;
    }

    String subject() {
        return subject;
    }

    Instant madeAt() {
        return madeAt;
    }

    String madeBy() {
        return madeBy;
    }

    @Nullable
    Instant wrappedAt() {
        return wrappedAt;
    }

    @Nullable
    String wrappedBy() {
        return wrappedBy;
    }

    /** Over, or open again without a time. */
    void wrap(@Nullable Instant at, @Nullable String by) {
        wrappedAt = at;
        wrappedBy = by;
    }
}
