package org.oblume.server.shot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** A revision of a shot as it was when it was closed, and why the next was opened. */
@Entity
@Immutable
@Table(name = "shot_revision")
class RevisionEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "shot_id")
    private long shotId;

    private int number;
    private String reason = "";
    private String author = "";

    @Column(name = "closed_at")
    private Instant at = Instant.EPOCH;

    @Column(name = "last_event")
    private long lastEvent;

    protected RevisionEntity() {}

    RevisionEntity(long shotId, int number, String reason, String author, Instant at, long lastEvent) {
        this.shotId = shotId;
        this.number = number;
        this.reason = reason;
        this.author = author;
        this.at = at;
        this.lastEvent = lastEvent;
    }

    ClosedRevision toRevision() {
        return new ClosedRevision(number, reason, author, at, lastEvent);
    }
}
