package org.oblume.server.carry;

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

/** A named state of a scene. */
@Entity
@Table(name = "look")
class LookEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "scene_id")
    private long sceneId;

    private String name = "";
    /** JSON: a list of {@link SavedLook.LookValue}. */
    @Column(name = "held_values")
    private String values = "[]";

    private String author = "";

    @Column(name = "made_at")
    private Instant at = Instant.EPOCH;

    @Version
    private long version;

    protected LookEntity() {}

    LookEntity(long sceneId, String name, String values, String author, Instant at) {
        this.sceneId = sceneId;
        this.name = name;
        this.values = values;
        this.author = author;
        this.at = at;
    }

    long sceneId() {
        return sceneId;
    }

    String values() {
        return values;
    }

    String author() {
        return author;
    }

    Instant at() {
        return at;
    }

    BoardView.LookCard toCard() {
        return new BoardView.LookCard(id == null ? 0 : id, name, author, at, version);
    }
}
