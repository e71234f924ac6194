package org.oblume.server.earlier;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** What was said of something until somebody said it anew. */
@Entity
@Table(name = "earlier_version")
class EarlierVersionEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @SuppressWarnings("UnusedVariable") // asked for by the repository
    @Column(name = "set_id")
    private @Nullable Long setId;

    @SuppressWarnings("UnusedVariable") // asked for by the repository
    @Column(name = "day_id")
    private @Nullable Long dayId;

    @SuppressWarnings("UnusedVariable") // asked for by the repository
    @Column(name = "shot_id")
    private @Nullable Long shotId;

    @SuppressWarnings("UnusedVariable") // asked for by the repository
    @Column(name = "unit_id")
    private @Nullable Long unitId;

    @SuppressWarnings("UnusedVariable") // asked for by the repository
    @Column(name = "stock_id")
    private @Nullable Long stockId;

    /** JSON. */
    private String was = "";

    @Column(name = "replaced_at")
    private Instant replacedAt = Instant.EPOCH;

    @Column(name = "replaced_by")
    private String replacedBy = "";

    protected EarlierVersionEntity() {}

    EarlierVersionEntity(Said of, long ofId, String was, Instant at, String by) {
        switch (of) {
            case POWER_OF_SET -> this.setId = ofId;
            case DAY -> this.dayId = ofId;
            case PLAN_OF_SHOT -> this.shotId = ofId;
            case UNIT -> this.unitId = ofId;
            case COUNTED_STOCK -> this.stockId = ofId;
        }
        this.was = was;
        this.replacedAt = at;
        this.replacedBy = by;
    }

    String was() {
        return was;
    }

    Instant replacedAt() {
        return replacedAt;
    }

    String replacedBy() {
        return replacedBy;
    }
}
