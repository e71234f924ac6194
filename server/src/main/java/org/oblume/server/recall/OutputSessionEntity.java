package org.oblume.server.recall;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** One time that output was armed. */
@Entity
@Table(name = "output_session")
class OutputSessionEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "armed_by")
    private String armedBy = "";

    @Column(name = "armed_at")
    private Instant armedAt = Instant.EPOCH;

    @Column(name = "sent_on")
    private String sentOn = "";

    private @Nullable String slate;

    @Column(name = "closed_at")
    private @Nullable Instant closedAt;

    protected OutputSessionEntity() {}

    OutputSessionEntity(String armedBy, Instant armedAt, String sentOn) {
        this.armedBy = armedBy;
        this.armedAt = armedAt;
        this.sentOn = sentOn;
    }

    String armedBy() {
        return armedBy;
    }

    Instant armedAt() {
        return armedAt;
    }

    String sentOn() {
        return sentOn;
    }

    @Nullable
    String slate() {
        return slate;
    }

    void live(String recalled) {
        slate = recalled;
    }

    void close(Instant at) {
        closedAt = at;
    }
}
