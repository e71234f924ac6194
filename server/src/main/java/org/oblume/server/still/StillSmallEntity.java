package org.oblume.server.still;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** Small pictures of a photograph, upright, as JPEG: made once. */
@Entity
@Table(name = "still_small")
class StillSmallEntity {

    @Id
    @Column(name = "note_id")
    private long noteId;

    /** For lists. */
    private byte[] listed = new byte[0];

    /** For the page. */
    private byte[] shown = new byte[0];

    protected StillSmallEntity() {}

    StillSmallEntity(long noteId, byte[] listed, byte[] shown) {
        this.noteId = noteId;
        this.listed = listed;
        this.shown = shown;
    }

    StillSmallEntity of(long note) {
        return new StillSmallEntity(note, listed, shown);
    }

    byte[] listed() {
        return listed;
    }

    byte[] shown() {
        return shown;
    }
}
