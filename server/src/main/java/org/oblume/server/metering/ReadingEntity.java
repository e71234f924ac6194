package org.oblume.server.metering;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordSource;

/** One reading, as it was made. */
@Entity
@Table(name = "reading")
class ReadingEntity extends IdentifiedEntity implements RecordSource {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "shot_id")
    private long shotId;

    @Column(name = "run_id")
    private @Nullable Long runId;

    @Column(name = "mark_id")
    private long markId;

    @Column(name = "alone_id")
    private @Nullable Long aloneId;

    private String figures = "";

    @Column(name = "predicted_lux")
    private @Nullable Double predictedLux;

    private String author = "";

    @Column(name = "made_at")
    private Instant at = Instant.EPOCH;

    protected ReadingEntity() {}

    ReadingEntity(
            long shotId,
            @Nullable Long runId,
            long markId,
            @Nullable Long aloneId,
            String figures,
            @Nullable Double predictedLux,
            String author,
            Instant at) {
        this.shotId = shotId;
        this.runId = runId;
        this.markId = markId;
        this.aloneId = aloneId;
        this.figures = figures;
        this.predictedLux = predictedLux;
        this.author = author;
        this.at = at;
    }

    long id() {
        return Objects.requireNonNull(id);
    }

    long shotId() {
        return shotId;
    }

    @Nullable
    Long runId() {
        return runId;
    }

    String figures() {
        return figures;
    }

    /** What was predicted when it was made; null when nothing was. */
    @Nullable
    Double predictedLux() {
        return predictedLux;
    }

    String author() {
        return author;
    }

    Instant at() {
        return at;
    }

    @Override
    public Source source() {
        return new Source(Part.READINGS, shotId);
    }
}
