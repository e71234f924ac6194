package org.oblume.server.shot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Reason;
import org.oblume.core.plot.Attribute;
import org.oblume.server.support.IdentifiedEntity;

/** One change, as it was made. */
@Entity
@Immutable
@Table(name = "knot_event")
class KnotEventEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "shot_id")
    private long shotId;

    @Column(name = "placement_id")
    private long placementId;

    @Enumerated(EnumType.STRING)
    private Attribute attribute = Attribute.PLACE;

    @Column(name = "held_value")
    private @Nullable String value;

    @Enumerated(EnumType.STRING)
    private @Nullable Reason reason;

    private @Nullable String note;
    private String author = "";

    @Column(name = "changed_at")
    private Instant at = Instant.EPOCH;
    /** The edit that it was part of, or null for what came from a file or with a new thing. */
    @Column(name = "edit_id")
    private @Nullable Long editId;
    /** What held in the shot before, carried or its own; null when nothing did, or with no edit. */
    @Column(name = "before_value")
    private @Nullable String beforeValue;

    protected KnotEventEntity() {}

    KnotEventEntity(KnotEntity knot, @Nullable Long editId, @Nullable String beforeValue) {
        this.editId = editId;
        this.beforeValue = beforeValue;
        Attribution tie = knot.attribution();
        shotId = knot.shotId();
        placementId = knot.placementId();
        attribute = knot.attribute();
        value = knot.value();
        reason = tie.reason();
        note = tie.note();
        author = tie.author();
        at = tie.at();
    }

    Optional<Long> editId() {
        return Optional.ofNullable(editId);
    }

    long id() {
        return id == null ? 0 : id;
    }

    long placementId() {
        return placementId;
    }

    Attribute attribute() {
        return attribute;
    }

    @Nullable
    String value() {
        return value;
    }

    @Nullable
    String beforeValue() {
        return beforeValue;
    }

    @Nullable
    Reason reason() {
        return reason;
    }

    Attribution attribution() {
        return new Attribution(reason, note, author, at, 1);
    }

    /** What it changed. */
    StoredKey key() {
        return new StoredKey(placementId, attribute);
    }

    long shotId() {
        return shotId;
    }

    LastTouch toLastTouch() {
        return new LastTouch(author, at);
    }
}
