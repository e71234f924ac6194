package org.oblume.server.inventory;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;

/** What the labels of a production's kit lead to. */
@Entity
@Table(name = "kit_address")
class KitAddressEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @SuppressWarnings("UnusedVariable") // asked for by the repository
    @Column(name = "production_id")
    private long productionId;

    private String address = "";

    protected KitAddressEntity() {}

    KitAddressEntity(long productionId) {
        this.productionId = productionId;
    }

    String address() {
        return address;
    }

    KitAddressEntity say(String changed) {
        address = changed;
        return this;
    }
}
