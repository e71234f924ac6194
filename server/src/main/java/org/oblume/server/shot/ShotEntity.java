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
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordSource;

@Entity
@Table(name = "shot")
class ShotEntity extends IdentifiedEntity implements RecordSource {

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
    private ShotStage stage = ShotStage.PLANNED;

    @Column(name = "based_on_id")
    private @Nullable Long basedOnId;

    @Column(name = "place_in_list")
    private int placeInList;

    private int revision = 1;

    @Column(name = "lit_by")
    private @Nullable String litBy;

    @Column(name = "lit_at")
    private @Nullable Instant litAt;

    @Column(name = "shot_by")
    private @Nullable String shotBy;

    @Column(name = "shot_at")
    private @Nullable Instant shotAt;

    @Version
    private long version;

    protected ShotEntity() {}

    ShotEntity(long sceneId, int placeInList, ShotCard card) {
        this.sceneId = sceneId;
        this.placeInList = placeInList;
        fill(card);
    }

    final void fill(ShotCard card) {
        slate = card.slate().text();
        description = card.description();
        day = card.day();
        stage = card.stage();
        basedOnId = card.basedOnId();
    }

    /** Keeps who brought it to a stage that it had not reached before; one that is planned again has reached none. */
    void reached(ShotStage before, String author, Instant at) {
        if ((stage == ShotStage.LIT && before == ShotStage.PLANNED) || (stage == ShotStage.SHOT && litBy == null)) {
            litBy = author;
            litAt = at;
        }
        if (stage == ShotStage.SHOT && before != ShotStage.SHOT) {
            shotBy = author;
            shotAt = at;
        }
        if (stage == ShotStage.PLANNED) {
            litBy = null;
            litAt = null;
        }
    }

    void openRevision() {
        revision++;
        stage = ShotStage.LIT;
        shotBy = null;
        shotAt = null;
    }

    void moveTo(int place) {
        placeInList = place;
    }

    Shot toShot() {
        return new Shot(
                id == null ? 0 : id,
                sceneId,
                version,
                new ShotCard(new Slate(slate), description, day, stage, basedOnId),
                revision,
                touch(litBy, litAt),
                touch(shotBy, shotAt));
    }

    private static @Nullable LastTouch touch(@Nullable String author, @Nullable Instant at) {
        return author == null || at == null ? null : new LastTouch(author, at);
    }

    @Override
    public Source source() {
        return new Source(Part.SCENE, sceneId);
    }
}
