package org.oblume.server.inventory;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** Stock of a production that is counted. */
@Entity
@Table(name = "counted_stock")
class CountedStockEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "production_id")
    private long productionId;

    /** JSON. */
    private String item = "";

    @Version
    private @Nullable Long version;

    protected CountedStockEntity() {}

    CountedStockEntity(long productionId) {
        this.productionId = productionId;
    }

    long id() {
        return id == null ? 0 : id;
    }

    long productionId() {
        return productionId;
    }

    String item() {
        return item;
    }

    CountedStockEntity say(String json) {
        item = json;
        return this;
    }

    /** Counts its changes, for If-Match. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
