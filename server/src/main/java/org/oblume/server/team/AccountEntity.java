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
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordSource;

/** A name stays taken when its account is removed: the record names its author for good. */
@Entity
@Table(name = "account")
class AccountEntity extends IdentifiedEntity implements RecordSource {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private String name = "";

    @Column(name = "name_key")
    private String nameKey = "";
    /** Its hash, or null for one of the demo, which needs none. */
    private @Nullable String passphrase;

    @Enumerated(EnumType.STRING)
    private TeamRole role = TeamRole.READER;

    @SuppressWarnings("UnusedVariable") // queries ask for it
    private boolean removed;

    @Version
    private long version;

    protected AccountEntity() {}

    AccountEntity(String name, @Nullable String passphrase, TeamRole role) {
        this.name = name;
        this.nameKey = key(name);
        this.passphrase = passphrase;
        this.role = role;
    }

    /** One name in whatever capitals. */
    static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    void setRole(TeamRole to) {
        role = to;
    }

    void setPassphrase(String hash) {
        passphrase = hash;
    }

    void remove() {
        removed = true;
    }

    @Nullable
    String passphrase() {
        return passphrase;
    }

    Member toMember() {
        return new Member(id == null ? 0 : id, name, role, version);
    }

    @Override
    public Source source() {
        return new Source(Part.TEAM, 0);
    }
}
