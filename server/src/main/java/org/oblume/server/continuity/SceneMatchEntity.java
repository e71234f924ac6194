package org.oblume.server.continuity;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.oblume.core.continuity.RatioConvention;
import org.oblume.server.support.IdentifiedEntity;

/** What the shots of a scene are judged by. */
@Entity
@Table(name = "scene_match")
class SceneMatchEntity extends IdentifiedEntity {

    @Id
    @Column(name = "scene_id")
    private long sceneId;

    @Column(name = "reference_shot_id")
    private @Nullable Long referenceShotId;

    @Enumerated(EnumType.STRING)
    private RatioConvention school = RatioConvention.LIT_TO_SHADOW;

    @Version
    private @Nullable Long version;

    protected SceneMatchEntity() {}

    SceneMatchEntity(long sceneId) {
        this.sceneId = sceneId;
    }

    SceneMatchEntity fill(long reference, RatioConvention ratio) {
        referenceShotId = reference;
        school = ratio;
        return this;
    }

    @Nullable
    Long referenceShotId() {
        return referenceShotId;
    }

    RatioConvention school() {
        return school;
    }

    /** Counts its changes, for If-Match; 0 while it was never kept. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
