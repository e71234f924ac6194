package org.oblume.server.photo;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.PlanPoint;
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

    @Column(name = "taken_for")
    private @Nullable String takenFor;

    @Column(name = "stood_x")
    private @Nullable Double stoodX;

    @Column(name = "stood_y")
    private @Nullable Double stoodY;

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

    PhotoRound round() {
        return PhotoRound.parse(takenFor);
    }

    /** Where somebody says that it was taken from, or null. */
    @Nullable
    PlanPoint stood() {
        return stoodX == null || stoodY == null ? null : PlanPoint.of(stoodX, stoodY);
    }

    PhotoTapsEntity fill(String now, PhotoRound round, @Nullable PlanPoint stood, String by) {
        taps = now;
        takenFor = round.id();
        stoodX = stood == null ? null : Double.valueOf(stood.xM());
        stoodY = stood == null ? null : Double.valueOf(stood.yM());
        author = by;
        return this;
    }

    /** Counts its changes, for If-Match; 0 while it was never kept. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
