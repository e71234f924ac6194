package org.oblume.server.support;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.PrePersist;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What a person adds: its uid is the same wherever the record goes, unlike its id, which is this database's own. */
@MappedSuperclass
public abstract class IdentifiedEntity {

    @Column(updatable = false)
    private @Nullable UUID uid;

    /** Given when it is first asked for: most rows are read, with theirs. */
    public UUID uid() {
        UUID known = uid == null ? UUID.randomUUID() : uid;
        uid = known;
        return known;
    }

    @PrePersist
    void identify() {
        uid();
    }
}
