package org.oblume.server.continuity;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.core.continuity.Aspect;
import org.oblume.core.continuity.Waiver;
import org.oblume.server.support.IdentifiedEntity;

/** Someone looked at a line of the report and said that it is right. */
@Entity
@Table(name = "by_eye")
class ByEyeEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "shot_id")
    private long shotId;

    @Column(name = "run_id")
    private @Nullable Long runId;

    @Enumerated(EnumType.STRING)
    private Aspect aspect = Aspect.RATIO;

    private String reason = "";
    private String author = "";

    @Column(name = "said_at")
    private Instant at = Instant.EPOCH;

    protected ByEyeEntity() {}

    ByEyeEntity(long shotId, @Nullable Long runId, Aspect aspect, Waiver said, Instant at) {
        this.shotId = shotId;
        this.runId = runId;
        this.aspect = aspect;
        this.reason = said.reason();
        this.author = said.author();
        this.at = at;
    }

    long shotId() {
        return shotId;
    }

    @Nullable
    Long runId() {
        return runId;
    }

    Aspect aspect() {
        return aspect;
    }

    Waiver waiver() {
        return new Waiver(Waiver.Cause.BY_EYE, reason, author);
    }
}
