package org.oblume.server.shot;

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
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Reason;
import org.oblume.core.plot.Attribute;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordSource;

/** The value that holds now for one attribute of one placement in one shot; no value once it was untied. */
@Entity
@Table(name = "knot")
class KnotEntity extends IdentifiedEntity implements RecordSource {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "shot_id")
    private long shotId;

    @Column(name = "placement_id")
    private long placementId;

    @Enumerated(EnumType.STRING)
    private Attribute attribute = Attribute.PLACE;

    @Column(name = "held_value")
    private @Nullable String value;

    @Enumerated(EnumType.STRING)
    private @Nullable Reason reason;

    private @Nullable String note;
    private String author = "";

    @Column(name = "changed_at")
    private Instant at = Instant.EPOCH;

    @Version
    private long version;

    protected KnotEntity() {}

    KnotEntity(long shotId, long placementId, Attribute attribute) {
        this.shotId = shotId;
        this.placementId = placementId;
        this.attribute = attribute;
    }

    void hold(@Nullable String newValue, Attribution tie) {
        value = newValue;
        reason = tie.reason();
        note = tie.note();
        author = tie.author();
        at = tie.at();
    }

    long shotId() {
        return shotId;
    }

    long placementId() {
        return placementId;
    }

    Attribute attribute() {
        return attribute;
    }

    @Nullable
    String value() {
        return value;
    }

    /** 1 for the first change; 0 stands for a value that has no row. */
    long revision() {
        return version + 1;
    }

    Attribution attribution() {
        return new Attribution(reason, note, author, at, revision());
    }

    StoredKey key() {
        return new StoredKey(placementId, attribute);
    }

    @Override
    public Source source() {
        return new Source(Part.SHOT, shotId);
    }
}
