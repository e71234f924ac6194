package org.oblume.server.metering;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.metering.DialCurve;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.server.support.IdentifiedEntity;

/** What a unit measured through a path when it was dialled. */
@Entity
@Table(name = "dial_point")
class DialPointEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "production_id")
    private long productionId;

    @Column(name = "reading_id")
    private long readingId;

    private String unit = "";
    private String path = "";

    @Column(name = "dialled_kelvin")
    private double dialledKelvin;

    @Column(name = "dialled_duv")
    private double dialledDuv;

    @Column(name = "measured_kelvin")
    private double measuredKelvin;

    @Column(name = "measured_duv")
    private double measuredDuv;

    private String author = "";

    @Column(name = "made_at")
    private Instant at = Instant.EPOCH;

    protected DialPointEntity() {}

    DialPointEntity(
            long productionId,
            long readingId,
            String unit,
            String path,
            DialCurve.Point point,
            String author,
            Instant at) {
        this.productionId = productionId;
        this.readingId = readingId;
        this.unit = unit;
        this.path = path;
        this.dialledKelvin = point.dialled().kelvin().value();
        this.dialledDuv = point.dialled().duv().value();
        this.measuredKelvin = point.measured().kelvin().value();
        this.measuredDuv = point.measured().duv().value();
        this.author = author;
        this.at = at;
    }

    String unit() {
        return unit;
    }

    String path() {
        return path;
    }

    String author() {
        return author;
    }

    Instant at() {
        return at;
    }

    DialCurve.Point point() {
        return new DialCurve.Point(
                WhitePoint.of(Kelvin.of(dialledKelvin), Duv.of(dialledDuv)),
                WhitePoint.of(Kelvin.of(measuredKelvin), Duv.of(measuredDuv)));
    }
}
