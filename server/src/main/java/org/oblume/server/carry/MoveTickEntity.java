package org.oblume.server.carry;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** Someone has done a move. */
@Entity
@Table(name = "move_tick")
class MoveTickEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "from_side")
    private String fromSide = "";

    @Column(name = "to_side")
    private String toSide = "";

    @Column(name = "move_key")
    private String moveKey = "";
    /** As the move read when it was ticked off. */
    private String said = "";

    private String author = "";

    @Column(name = "ticked_at")
    private Instant at = Instant.EPOCH;

    protected MoveTickEntity() {}

    MoveTickEntity(String fromSide, String toSide, String moveKey) {
        this.fromSide = fromSide;
        this.toSide = toSide;
        this.moveKey = moveKey;
    }

    MoveTickEntity by(String who, Instant when, String what) {
        author = who;
        at = when;
        said = what;
        return this;
    }

    String moveKey() {
        return moveKey;
    }

    MovesView.TickedOff toTickedOff(String now) {
        return new MovesView.TickedOff(author, at, !now.equals(said));
    }
}
