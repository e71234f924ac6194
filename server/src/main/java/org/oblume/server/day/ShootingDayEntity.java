package org.oblume.server.day;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** A shooting day of which something was said. */
@Entity
@Table(name = "shooting_day")
class ShootingDayEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "production_id")
    private long productionId;

    private int number;

    /** JSON. */
    private String card = "";

    @Version
    private @Nullable Long version;

    protected ShootingDayEntity() {}

    ShootingDayEntity(long productionId, int number, String card) {
        this.productionId = productionId;
        this.number = number;
        this.card = card;
    }

    /** 0 while it is not kept. */
    long id() {
        return id == null ? 0 : id;
    }

    long productionId() {
        return productionId;
    }

    int number() {
        return number;
    }

    String card() {
        return card;
    }

    void say(String json) {
        card = json;
    }

    /** Counts its changes, for If-Match; 0 while nothing was said of it. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
