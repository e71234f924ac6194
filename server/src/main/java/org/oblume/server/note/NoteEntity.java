package org.oblume.server.note;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.SQLRestriction;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.server.support.IdentifiedEntity;

/** Of a shot, of a thing in a shot, or of a set. */
@Entity
@Table(name = "note")
@SQLRestriction("taken_out_at is null")
class NoteEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "shot_id")
    private @Nullable Long shotId;

    @Column(name = "placement_id")
    private @Nullable Long placementId;

    @Column(name = "set_id")
    private @Nullable Long setId;

    private String text = "";
    private String author = "";

    @Column(name = "made_at")
    private Instant at = Instant.EPOCH;

    private boolean photo;

    /** It is brought back for a while. */
    @Column(name = "taken_out_at")
    private @Nullable Instant takenOutAt;

    protected NoteEntity() {}

    NoteEntity(
            @Nullable Long shotId,
            @Nullable Long placementId,
            @Nullable Long setId,
            String text,
            boolean photo,
            String author,
            Instant at) {
        this.shotId = shotId;
        this.placementId = placementId;
        this.setId = setId;
        this.text = text;
        this.photo = photo;
        this.author = author;
        this.at = at;
    }

    long id() {
        return id == null ? 0 : id;
    }

    void takeOut(Instant now) {
        takenOutAt = now;
    }

    String text() {
        return text;
    }

    Instant at() {
        return at;
    }

    String author() {
        return author;
    }

    @Nullable
    Long placementId() {
        return placementId;
    }

    Note toNote(@Nullable Slate slate, @Nullable String placement) {
        return new Note(id(), text, slate, placement, photo ? "/api/notes/%d/photo".formatted(id()) : null, author, at);
    }
}
