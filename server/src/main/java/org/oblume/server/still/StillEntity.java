package org.oblume.server.still;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** What is said of a photograph of a shot, beside the note that it is of. */
@Entity
@Table(name = "still")
class StillEntity extends IdentifiedEntity {

    @Id
    @Column(name = "note_id")
    private long noteId;

    @Column(name = "shot_id")
    private long shotId;

    @Column(name = "run_id")
    private @Nullable Long runId;

    @Enumerated(EnumType.STRING)
    private StillKind kind = StillKind.PHOTOGRAPH;

    @Column(name = "video_range")
    private boolean videoRange;

    /** JSON. */
    private String points = "[]";

    /** Whether it is the one that the stills of its scene are held against. */
    private boolean reference;

    @Version
    private @Nullable Long version;

    protected StillEntity() {}

    StillEntity(long noteId, long shotId) {
        this.noteId = noteId;
        this.shotId = shotId;
    }

    StillEntity of(@Nullable Long run, StillKind what) {
        runId = run;
        kind = what;
        return this;
    }

    StillEntity say(StillKind what, boolean isVideoRange, String marked) {
        kind = what;
        videoRange = isVideoRange;
        points = marked;
        return this;
    }

    void hold(boolean isReference) {
        reference = isReference;
    }

    long noteId() {
        return noteId;
    }

    long shotId() {
        return shotId;
    }

    @Nullable
    Long runId() {
        return runId;
    }

    StillKind kind() {
        return kind;
    }

    boolean videoRange() {
        return videoRange;
    }

    String points() {
        return points;
    }

    boolean reference() {
        return reference;
    }

    /** Counts its changes, for If-Match; 0 while nothing was said of it. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
