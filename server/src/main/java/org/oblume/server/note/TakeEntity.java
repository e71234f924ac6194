package org.oblume.server.note;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

@Entity
@Table(name = "take")
class TakeEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "shot_id")
    private long shotId;

    private int number;
    private @Nullable String note;
    private boolean circled;
    private String author = "";

    @Column(name = "made_at")
    private Instant at = Instant.EPOCH;

    @Version
    private long version;

    protected TakeEntity() {}

    TakeEntity(long shotId, String author, Instant at) {
        this.shotId = shotId;
        this.author = author;
        this.at = at;
    }

    TakeEntity fill(int newNumber, @Nullable String newNote, boolean nowCircled) {
        number = newNumber;
        note = newNote;
        circled = nowCircled;
        return this;
    }

    long shotId() {
        return shotId;
    }

    Instant at() {
        return at;
    }

    Take toTake() {
        return new Take(id == null ? 0 : id, number, note, circled, author, at, version);
    }
}
