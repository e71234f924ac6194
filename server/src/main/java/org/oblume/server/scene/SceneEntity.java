package org.oblume.server.scene;

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
import org.hibernate.annotations.SQLRestriction;
import org.jspecify.annotations.Nullable;
import org.oblume.core.rebuild.BuildOrder;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordSource;

/** One that was deleted is not found, nor one of a production that was. */
@Entity
@SQLRestriction(
        "deleted_at is null and production_id not in (select p.id from production p where p.deleted_at is not null)")
@Table(name = "scene")
class SceneEntity extends IdentifiedEntity implements RecordSource {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "production_id")
    private long productionId;

    @Column(name = "set_id")
    private long setId;

    private String number = "";
    private String heading = "";
    private String location = "";

    @Enumerated(EnumType.STRING)
    @Column(name = "build_order")
    private BuildOrder buildOrder = BuildOrder.AMBIENCE_FIRST;

    /** When it was closed, or null while it is worked on. */
    @Column(name = "closed_at")
    private @Nullable Instant closedAt;

    @Version
    private long version;

    protected SceneEntity() {}

    SceneEntity(long productionId, long setId, SceneHeading heading) {
        this.productionId = productionId;
        this.setId = setId;
        this.number = heading.number();
        this.heading = heading.heading();
        this.location = heading.location();
        this.buildOrder = heading.buildOrder();
    }

    Scene toScene() {
        return new Scene(
                id == null ? 0 : id,
                productionId,
                setId,
                new SceneHeading(number, heading, location, buildOrder),
                closedAt);
    }

    @Override
    public Source source() {
        return new Source(Part.SCENE, id == null ? 0 : id);
    }
}
