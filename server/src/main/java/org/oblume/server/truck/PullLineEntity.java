package org.oblume.server.truck;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.core.kit.PullCount;
import org.oblume.server.support.IdentifiedEntity;

/** A line of a pull list. */
@Entity
@Table(name = "pull_line")
class PullLineEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "list_id")
    private long listId;

    @SuppressWarnings("UnusedVariable") // asked for by the repository
    @Column(name = "place_in_list")
    private int placeInList;

    /** JSON. */
    private String line = "";

    private int wanted;

    @Column(name = "counted_out")
    private int countedOut;

    @Column(name = "counted_back")
    private int countedBack;

    private @Nullable String author;

    @Column(name = "counted_at")
    private @Nullable Instant at;

    @Version
    private @Nullable Long version;

    protected PullLineEntity() {}

    PullLineEntity(long listId, int placeInList, String line, int wanted) {
        this.listId = listId;
        this.placeInList = placeInList;
        this.line = line;
        this.wanted = wanted;
    }

    long id() {
        return id == null ? 0 : id;
    }

    long listId() {
        return listId;
    }

    String line() {
        return line;
    }

    PullCount count() {
        return new PullCount(wanted, countedOut, countedBack);
    }

    @Nullable
    String author() {
        return author;
    }

    @Nullable
    Instant at() {
        return at;
    }

    PullLineEntity counted(PullCount count, String by, Instant when) {
        wanted = count.wanted();
        countedOut = count.out();
        countedBack = count.back();
        author = by;
        at = when;
        return this;
    }

    /** Wants another number than before. */
    PullLineEntity wanting(int number) {
        wanted = number;
        return this;
    }

    /** Counts its changes, for If-Match. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
