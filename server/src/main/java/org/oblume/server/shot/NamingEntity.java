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

/** A thing was given another name, in all shots of its scene. */
@Entity
@Immutable
@Table(name = "naming")
class NamingEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "placement_id")
    private long placementId;

    @Column(name = "name_before")
    private String before = "";

    @Column(name = "name_after")
    private String after = "";

    private String author = "";

    @Column(name = "made_at")
    private Instant at = Instant.EPOCH;
    /** The newest change of the record before it. */
    @Column(name = "after_event")
    private long afterEvent;

    protected NamingEntity() {}

    NamingEntity(long placementId, String before, String after, String author, Instant at, long afterEvent) {
        this.placementId = placementId;
        this.before = before;
        this.after = after;
        this.author = author;
        this.at = at;
        this.afterEvent = afterEvent;
    }

    long placementId() {
        return placementId;
    }

    String before() {
        return before;
    }

    String after() {
        return after;
    }

    String author() {
        return author;
    }

    Instant at() {
        return at;
    }

    long afterEvent() {
        return afterEvent;
    }
}
