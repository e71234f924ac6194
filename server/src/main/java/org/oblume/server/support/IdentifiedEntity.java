package org.oblume.server.support;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;

/** What a person adds: its uid is the same wherever the record goes, unlike its id, which is this database's own. */
@MappedSuperclass
public abstract class IdentifiedEntity {

    @Column(updatable = false)
    private UUID uid = UUID.randomUUID();

    public UUID uid() {
        return uid;
    }
}
