package org.oblume.server.set;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordSource;

@Entity
@Table(name = "stage_set")
class SetEntity extends IdentifiedEntity implements RecordSource {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "production_id")
    private long productionId;

    private String name = "";
    private String plan = "";

    @Version
    private long version;

    protected SetEntity() {}

    SetEntity(long productionId, String name, String plan) {
        this.productionId = productionId;
        this.name = name;
        this.plan = plan;
    }

    long id() {
        return id == null ? 0 : id;
    }

    long productionId() {
        return productionId;
    }

    String name() {
        return name;
    }

    String plan() {
        return plan;
    }

    long version() {
        return version;
    }

    void draw(String changedName, String changedPlan) {
        this.name = changedName;
        this.plan = changedPlan;
    }

    @Override
    public Source source() {
        return new Source(Part.SET, id == null ? 0 : id);
    }
}
