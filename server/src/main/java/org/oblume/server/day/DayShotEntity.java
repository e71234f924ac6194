package org.oblume.server.day;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** A shot in the order of a day. */
@Entity
@Table(name = "day_shot")
class DayShotEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "day_id")
    private long dayId;

    @Column(name = "shot_id")
    private long shotId;

    @SuppressWarnings("UnusedVariable") // rows are read in its order
    @Column(name = "place_in_list")
    private int placeInList;

    /** Whether it is a later day of a shot that is planned for another. */
    private boolean again;

    protected DayShotEntity() {}

    DayShotEntity(long dayId, int placeInList, long shotId, boolean again) {
        this.dayId = dayId;
        this.placeInList = placeInList;
        this.shotId = shotId;
        this.again = again;
    }

    long dayId() {
        return dayId;
    }

    long shotId() {
        return shotId;
    }

    boolean again() {
        return again;
    }
}
