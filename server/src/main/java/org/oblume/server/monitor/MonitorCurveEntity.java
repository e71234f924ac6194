package org.oblume.server.monitor;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

/** The curve of a production or of a scene, one of the two. */
@Entity
@Table(name = "monitor_curve")
class MonitorCurveEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @SuppressWarnings("UnusedVariable") // asked for by the repository
    @Column(name = "production_id")
    private @Nullable Long productionId;

    @SuppressWarnings("UnusedVariable") // as well
    @Column(name = "scene_id")
    private @Nullable Long sceneId;

    /** JSON; null where a scene is as its production. */
    private @Nullable String curve;

    @Version
    private @Nullable Long version;

    protected MonitorCurveEntity() {}

    static MonitorCurveEntity ofProduction(long id) {
        MonitorCurveEntity one = new MonitorCurveEntity();
        one.productionId = id;
        return one;
    }

    static MonitorCurveEntity ofScene(long id) {
        MonitorCurveEntity one = new MonitorCurveEntity();
        one.sceneId = id;
        return one;
    }

    @Nullable
    String curve() {
        return curve;
    }

    void choose(@Nullable String json) {
        curve = json;
    }

    /** Counts its changes, for If-Match; 0 while it was never kept. */
    long version() {
        return version == null ? 0 : version + 1;
    }
}
