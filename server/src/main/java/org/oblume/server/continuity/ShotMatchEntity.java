package org.oblume.server.continuity;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** How close a shot has to come. */
@Entity
@Table(name = "shot_match")
class ShotMatchEntity extends IdentifiedEntity {

    @Id
    @Column(name = "shot_id")
    private long shotId;

    @Enumerated(EnumType.STRING)
    @Column(name = "aim")
    private TolerancePreset closeness = TolerancePreset.HOLD;

    @Column(name = "own_tolerances")
    private String own = "{}";

    @Version
    private @Nullable Long version;

    protected ShotMatchEntity() {}

    ShotMatchEntity(long shotId) {
        this.shotId = shotId;
    }

    ShotMatchEntity fill(TolerancePreset close, String ownTolerances) {
        closeness = close;
        own = ownTolerances;
        return this;
    }

    long shotId() {
        return shotId;
    }

    TolerancePreset closeness() {
        return closeness;
    }

    String own() {
        return own;
    }

    /** Counts its changes, for If-Match; 0 while it was never kept. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
