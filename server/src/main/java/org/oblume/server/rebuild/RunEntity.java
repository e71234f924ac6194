package org.oblume.server.rebuild;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** A shot that is being rebuilt, or was. */
@Entity
@Table(name = "rebuild_run")
class RunEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "shot_id")
    private long shotId;

    private String name = "";

    @Column(name = "set_id")
    private @Nullable Long setId;

    @Column(name = "plan_fit")
    private @Nullable String fit;

    @Column(name = "from_shot_id")
    private @Nullable Long fromShotId;

    private String author = "";

    @Column(name = "started_at")
    private Instant startedAt = Instant.EPOCH;

    @Column(name = "last_event")
    private long lastEvent;

    @Column(name = "signed_by")
    private @Nullable String signedBy;

    @Column(name = "signed_at")
    private @Nullable Instant signedAt;

    private @Nullable String verdict;

    @Column(name = "signed_page")
    private @Nullable String page;

    @Version
    private long version;

    protected RunEntity() {}

    RunEntity(
            long shotId,
            String name,
            @Nullable Long setId,
            @Nullable String fit,
            @Nullable Long fromShotId,
            String author,
            Instant startedAt,
            long lastEvent) {
        this.shotId = shotId;
        this.name = name;
        this.setId = setId;
        this.fit = fit;
        this.fromShotId = fromShotId;
        this.author = author;
        this.startedAt = startedAt;
        this.lastEvent = lastEvent;
    }

    long id() {
        return Objects.requireNonNull(id);
    }

    long shotId() {
        return shotId;
    }

    String name() {
        return name;
    }

    @Nullable
    Long setId() {
        return setId;
    }

    @Nullable
    String fit() {
        return fit;
    }

    @Nullable
    Long fromShotId() {
        return fromShotId;
    }

    String author() {
        return author;
    }

    Instant startedAt() {
        return startedAt;
    }

    long lastEvent() {
        return lastEvent;
    }

    /** Goes on with the record as it is now. */
    void goOn(long seen) {
        lastEvent = seen;
    }

    /**
     * @param said the verdict in a sentence
     * @param asSeen the page that was signed, as it is to stay
     */
    void sign(String who, Instant when, String said, String asSeen) {
        signedBy = who;
        signedAt = when;
        verdict = said;
        page = asSeen;
    }

    @Nullable
    String page() {
        return page;
    }

    boolean isSigned() {
        return signedBy != null;
    }

    RunHead.@Nullable Signature signature() {
        return signedBy == null || signedAt == null
                ? null
                : new RunHead.Signature(signedBy, signedAt, verdict == null ? "" : verdict);
    }
}
