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
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.LightMix;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordSource;

/** One reading, as it was made. */
@Entity
@Table(name = "reading")
class ReadingEntity extends IdentifiedEntity implements RecordSource {

    /** Which model predicts: counted up when its predictions change so much that readings beside older ones say nothing. */
    static final int MODEL = 2;

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

    @Column(name = "predicted_kelvin")
    private @Nullable Double predictedKelvin;

    @Column(name = "predicted_duv")
    private @Nullable Double predictedDuv;

    private int model;

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
            @Nullable LightMix predicted,
            String author,
            Instant at) {
        this.shotId = shotId;
        this.runId = runId;
        this.markId = markId;
        this.aloneId = aloneId;
        this.figures = figures;
        predicted(predicted);
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

    /** The same reading, told otherwise. */
    void figures(String told) {
        this.figures = told;
    }

    /** Lux that were predicted when it was made; null when nothing was, or by an earlier model. */
    @Nullable
    Double predictedLux() {
        return model < MODEL ? null : predictedLux;
    }

    /** The white that was predicted when it was made; null when nothing was, and when it was a colour. */
    @Nullable
    ColourReading predictedWhite() {
        return predictedKelvin == null || predictedDuv == null
                ? null
                : new ColourReading(predictedKelvin, predictedDuv);
    }

    /** Takes what is predicted now, by the model that is. */
    final void predicted(@Nullable LightMix now) {
        ColourReading white = now == null || !now.reading().isWhite() ? null : now.reading();
        this.predictedLux = now == null ? null : now.lux();
        this.predictedKelvin = white == null ? null : white.kelvin();
        this.predictedDuv = white == null ? null : white.duv();
        this.model = MODEL;
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
