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

/** A unit of a production's kit. */
@Entity
@Table(name = "kit_unit")
class KitUnitEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "production_id")
    private long productionId;

    @SuppressWarnings("UnusedVariable") // asked for by the repository
    @Column(name = "tag_key")
    private String tagKey = "";

    /** JSON. */
    private String unit = "";

    @Version
    private @Nullable Long version;

    protected KitUnitEntity() {}

    KitUnitEntity(long productionId) {
        this.productionId = productionId;
    }

    long id() {
        return id == null ? 0 : id;
    }

    long productionId() {
        return productionId;
    }

    String unit() {
        return unit;
    }

    KitUnitEntity say(String key, String json) {
        tagKey = key;
        unit = json;
        return this;
    }

    /** Counts its changes, for If-Match. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
