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
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Attribute;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordSource;

/** Somebody looked at a value of a shot on set. */
@Entity
@Table(name = "confirmation")
class ConfirmationEntity extends IdentifiedEntity implements RecordSource {

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
    private String value = "";

    private String author = "";

    @Column(name = "made_at")
    private Instant at = Instant.EPOCH;

    @Column(name = "edit_id")
    private @Nullable Long editId;
    /** The newest change of the record before it. */
    @Column(name = "after_event")
    private long afterEvent;

    @Column(name = "taken_back")
    private boolean takenBack;

    protected ConfirmationEntity() {}

    /**
     * @param editId what it is taken back with; null for one that a file said
     * @param afterEvent the newest change of the record before it
     */
    ConfirmationEntity(
            long shotId,
            StoredKey key,
            String value,
            String author,
            Instant at,
            @Nullable Long editId,
            long afterEvent) {
        this.shotId = shotId;
        this.placementId = key.placementId();
        this.attribute = key.attribute();
        this.value = value;
        this.author = author;
        this.at = at;
        this.editId = editId;
        this.afterEvent = afterEvent;
    }

    void takeBack(boolean back) {
        takenBack = back;
    }

    long shotId() {
        return shotId;
    }

    StoredKey key() {
        return new StoredKey(placementId, attribute);
    }

    String value() {
        return value;
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

    @Override
    public Source source() {
        return new Source(Part.SHOT, shotId);
    }
}
