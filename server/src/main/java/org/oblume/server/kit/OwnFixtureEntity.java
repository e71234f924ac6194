package org.oblume.server.kit;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordSource;

@Entity
@Table(name = "own_fixture")
class OwnFixtureEntity extends IdentifiedEntity implements RecordSource {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @SuppressWarnings("UnusedVariable") // for whoever reads the database
    private String what = "";
    /** JSON. */
    private String fixture = "";

    protected OwnFixtureEntity() {}

    OwnFixtureEntity(String what) {
        this.what = what;
    }

    String fixture() {
        return fixture;
    }

    void describe(String changed) {
        this.fixture = changed;
    }

    @Override
    public Source source() {
        return new Source(Part.KIT, 0);
    }
}
