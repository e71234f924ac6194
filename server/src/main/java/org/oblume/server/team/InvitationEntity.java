package org.oblume.server.team;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** A link that makes one account. Only the hash of its token is kept. */
@Entity
@Table(name = "invitation")
class InvitationEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "token_hash")
    private String tokenHash = "";

    @Enumerated(EnumType.STRING)
    private TeamRole role = TeamRole.READER;

    @Column(name = "made_by")
    private String madeBy = "";

    @Column(name = "expires_at")
    private Instant expiresAt = Instant.EPOCH;

    @Column(name = "taken_by")
    private @Nullable String takenBy;

    @Version
    private long version;

    protected InvitationEntity() {}

    InvitationEntity(String tokenHash, TeamRole role, String madeBy, Instant expiresAt) {
        this.tokenHash = tokenHash;
        this.role = role;
        this.madeBy = madeBy;
        this.expiresAt = expiresAt;
    }

    void takenBy(String name) {
        takenBy = name;
    }

    boolean open(Instant now) {
        return takenBy == null && now.isBefore(expiresAt);
    }

    TeamRole role() {
        return role;
    }

    Invitation toInvitation() {
        return new Invitation(id == null ? 0 : id, role, madeBy, expiresAt);
    }
}
