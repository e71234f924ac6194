package org.oblume.server.production;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "production")
class ProductionEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;
    private String name = "";
    private int days;
    @Version
    private long version;

    protected ProductionEntity() {
    }

    ProductionEntity(String name, int days) {
        this.name = name;
        this.days = days;
    }

    Production toProduction() {
        return new Production(id == null ? 0 : id, name, days);
    }
}
