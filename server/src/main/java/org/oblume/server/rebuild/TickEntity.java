package org.oblume.server.rebuild;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Someone has put a placement of a shot back. */
@Entity
@Table(name = "rebuild_tick")
class TickEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;
    @Column(name = "shot_id")
    private long shotId;
    @Column(name = "placement_id")
    private long placementId;
    private String author = "";
    @Column(name = "ticked_at")
    private Instant at = Instant.EPOCH;

    protected TickEntity() {
    }

    TickEntity(long shotId, long placementId) {
        this.shotId = shotId;
        this.placementId = placementId;
    }

    TickEntity by(String who, Instant when) {
        author = who;
        at = when;
        return this;
    }

    long placementId() {
        return placementId;
    }

    String author() {
        return author;
    }

    Instant at() {
        return at;
    }
}
