package org.oblume.server.production;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.hibernate.annotations.SQLRestriction;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** One that was deleted is not found. */
@Entity
@SQLRestriction("deleted_at is null")
@Table(name = "production")
class ProductionEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private String name = "";
    private int days;
    /** The crew's table of times (JSON), or null while it is the usual one. */
    private @Nullable String tempo;

    /** How far lights and meters stray (JSON), or null while it is as usual. */
    private @Nullable String spread;

    /** When it was closed, or null while it is worked on. */
    @Column(name = "closed_at")
    private @Nullable Instant closedAt;

    @Version
    private long version;

    protected ProductionEntity() {}

    ProductionEntity(String name, int days) {
        this.name = name;
        this.days = days;
    }

    @Nullable
    String tempo() {
        return tempo;
    }

    void setTempo(String table) {
        tempo = table;
    }

    @Nullable
    String spread() {
        return spread;
    }

    void setSpread(String strays) {
        spread = strays;
    }

    Production toProduction() {
        return new Production(id == null ? 0 : id, name, days, closedAt);
    }
}
