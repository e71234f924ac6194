package org.oblume.server.shot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordSource;

/** What one person changed in one go, so that it can be taken back in one go. */
@Entity
@Table(name = "edit")
class EditEntity extends IdentifiedEntity implements RecordSource {

    enum Kind {
        EDIT,
        UNDO,
        REDO,
        /** What a file said; it is not taken back. */
        IMPORT
    }

    private static final int LONGEST_LABEL = 300;

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "shot_id")
    private long shotId;

    private String author = "";

    @Column(name = "made_at")
    private Instant at = Instant.EPOCH;

    private String label = "";

    @Enumerated(EnumType.STRING)
    private Kind kind = Kind.EDIT;
    /** The edit that this one undoes or does again. */
    @Column(name = "of_edit")
    private @Nullable Long ofEdit;

    @Column(name = "taken_back")
    private boolean takenBack;

    protected EditEntity() {}

    EditEntity(long shotId, String author, Instant at, String label, Kind kind, @Nullable Long ofEdit) {
        this.shotId = shotId;
        this.author = author;
        this.at = at;
        this.label = label.length() > LONGEST_LABEL ? label.substring(0, LONGEST_LABEL - 1) + "…" : label;
        this.kind = kind;
        this.ofEdit = ofEdit;
    }

    void takeBack() {
        takenBack = true;
    }

    long id() {
        return id == null ? 0 : id;
    }

    /** The edit that was made first, where this one undoes it or does it again. */
    long original() {
        return ofEdit == null ? id() : ofEdit;
    }

    String author() {
        return author;
    }

    boolean isImport() {
        return kind == Kind.IMPORT;
    }

    String label() {
        return label;
    }

    @Override
    public Source source() {
        return new Source(Part.SHOT, shotId);
    }
}
