package org.oblume.server.day;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** What a shot takes and needs of its day. */
@Entity
@Table(name = "shot_plan")
class ShotPlanEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "shot_id")
    private long shotId;

    /** JSON. */
    private String plan = "";

    @Version
    private @Nullable Long version;

    protected ShotPlanEntity() {}

    ShotPlanEntity(long shotId) {
        this.shotId = shotId;
    }

    long shotId() {
        return shotId;
    }

    String plan() {
        return plan;
    }

    ShotPlanEntity say(String json) {
        plan = json;
        return this;
    }

    /** Counts its changes, for If-Match; 0 while nothing was said of it. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
