package org.oblume.server.rebuild;

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

/** What was done about one placement in a run: put back as recorded, or otherwise and why. */
@Entity
@Table(name = "run_step")
class RunStepEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "run_id")
    private long runId;

    @Column(name = "placement_id")
    private long placementId;

    private boolean done;
    private @Nullable String piece;

    @Column(name = "held_values")
    private @Nullable String values;

    private @Nullable String why;
    /** What somebody named that is hung there, found to be as recorded. */
    private @Nullable String hung;

    private String author = "";

    @Column(name = "ticked_at")
    private Instant at = Instant.EPOCH;

    @Version
    private @Nullable Long version;

    protected RunStepEntity() {}

    RunStepEntity(long runId, long placementId) {
        this.runId = runId;
        this.placementId = placementId;
    }

    RunStepEntity by(String who, Instant when) {
        author = who;
        at = when;
        return this;
    }

    RunStepEntity ticked(boolean isDone) {
        done = isDone;
        return this;
    }

    /**
     * @param newPiece a substitute as JSON, or null
     * @param newValues what is true now as JSON
     * @param reason why
     */
    RunStepEntity instead(@Nullable String newPiece, @Nullable String newValues, @Nullable String reason) {
        piece = newPiece;
        values = newValues;
        why = reason;
        return this;
    }

    long placementId() {
        return placementId;
    }

    boolean done() {
        return done;
    }

    @Nullable
    String piece() {
        return piece;
    }

    @Nullable
    String values() {
        return values;
    }

    @Nullable
    String hung() {
        return hung;
    }

    RunStepEntity hanging(String named) {
        hung = named;
        return this;
    }

    @Nullable
    String why() {
        return why;
    }

    String author() {
        return author;
    }

    Instant at() {
        return at;
    }

    /** Counts what was said of the step, for If-Match; 0 while nothing is kept. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
