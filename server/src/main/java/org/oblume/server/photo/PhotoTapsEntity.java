package org.oblume.server.photo;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** What was tapped in one photograph. */
@Entity
@Table(name = "photo_taps")
class PhotoTapsEntity extends IdentifiedEntity {

    @Id
    @Column(name = "note_id")
    private long noteId;

    private String taps = "[]";
    private String author = "";

    @Version
    private @Nullable Long version;

    protected PhotoTapsEntity() {}

    PhotoTapsEntity(long noteId) {
        this.noteId = noteId;
    }

    long noteId() {
        return noteId;
    }

    String taps() {
        return taps;
    }

    String author() {
        return author;
    }

    PhotoTapsEntity fill(String now, String by) {
        taps = now;
        author = by;
        return this;
    }

    /** Counts its changes, for If-Match; 0 while it was never kept. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
