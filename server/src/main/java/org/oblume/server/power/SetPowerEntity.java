package org.oblume.server.power;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** What feeds a set. */
@Entity
@Table(name = "set_power")
class SetPowerEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @SuppressWarnings("UnusedVariable") // asked for by the repository
    @Column(name = "set_id")
    private long setId;

    /** JSON. */
    private String plan = "";

    @Version
    private @Nullable Long version;

    protected SetPowerEntity() {}

    SetPowerEntity(long setId) {
        this.setId = setId;
    }

    String plan() {
        return plan;
    }

    SetPowerEntity say(String json) {
        plan = json;
        return this;
    }

    /** Counts its changes, for If-Match; 0 while nothing was said of it. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
