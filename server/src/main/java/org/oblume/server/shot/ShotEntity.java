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
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Stage;

@Entity
@Table(name = "shot")
class ShotEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;
    @Column(name = "scene_id")
    private long sceneId;
    private String slate = "";
    private String description = "";
    @Column(name = "shooting_day")
    private @Nullable Integer day;
    @Enumerated(EnumType.STRING)
    private Stage stage = Stage.PLANNED;
    @Column(name = "based_on_id")
    private @Nullable Long basedOnId;
    @Column(name = "place_in_list")
    private int placeInList;
    @Version
    private long version;

    protected ShotEntity() {
    }

    ShotEntity(long sceneId, int placeInList, ShotCard card) {
        this.sceneId = sceneId;
        this.placeInList = placeInList;
        fill(card);
    }

    final void fill(ShotCard card) {
        slate = card.slate();
        description = card.description();
        day = card.day();
        stage = card.stage();
        basedOnId = card.basedOnId();
    }

    Shot toShot() {
        return new Shot(id == null ? 0 : id, sceneId, version,
                new ShotCard(slate, description, day, stage, basedOnId));
    }
}
