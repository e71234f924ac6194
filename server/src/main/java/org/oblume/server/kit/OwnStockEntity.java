package org.oblume.server.kit;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordSource;

@Entity
@Table(name = "own_stock")
class OwnStockEntity extends IdentifiedEntity implements RecordSource {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @SuppressWarnings("UnusedVariable") // for whoever reads the database
    private String name = "";
    /** JSON. */
    private String item = "";

    protected OwnStockEntity() {}

    OwnStockEntity(String name) {
        this.name = name;
    }

    String item() {
        return item;
    }

    void describe(String changed) {
        this.item = changed;
    }

    @Override
    public Source source() {
        return new Source(Part.KIT, 0);
    }
}
