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
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.Surface;
import org.oblume.server.support.IdentifiedEntity;
import org.oblume.server.support.RecordJson;
import org.oblume.server.support.RecordSource;

@Entity
@Table(name = "placement")
class PlacementEntity extends IdentifiedEntity implements RecordSource {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "scene_id")
    private long sceneId;

    @Column(name = "placement_key")
    private String key = "";

    private String name = "";

    @Enumerated(EnumType.STRING)
    private PlacementKind kind = PlacementKind.HEAD;

    @Enumerated(EnumType.STRING)
    private Role role = Role.KEY;

    private @Nullable String motivation;
    private String what = "";
    private @Nullable String unit;

    @Column(name = "width_m")
    private double widthM;

    @Column(name = "lowest_kelvin")
    private @Nullable Double lowestKelvin;

    @Column(name = "highest_kelvin")
    private @Nullable Double highestKelvin;

    private double watts;

    @Enumerated(EnumType.STRING)
    private Mount mount = Mount.STAND;

    @Column(name = "height_m")
    private @Nullable Double heightM;
    /** JSON, or null. */
    private @Nullable String lamp;
    /** JSON, or null. */
    private @Nullable String surface;

    private @Nullable Boolean glasses;

    @Column(name = "group_name")
    private @Nullable String group;

    private @Nullable Boolean locked;

    @Column(name = "place_in_list")
    private int placeInList;

    @Version
    private long version;

    protected PlacementEntity() {}

    PlacementEntity(long sceneId, int placeInList, Placement placement, RecordJson json) {
        this.sceneId = sceneId;
        this.placeInList = placeInList;
        this.key = placement.key();
        this.kind = placement.kind();
        describe(placement, json);
    }

    /** Takes over all that is said of a placement but its key, which it keeps. */
    final void describe(Placement placement, RecordJson json) {
        this.name = placement.name();
        this.role = placement.role();
        this.motivation = placement.motivation();
        this.group = placement.group();
        this.locked = placement.locked();
        Piece piece = placement.piece();
        this.what = piece.what();
        this.unit = piece.unit();
        this.widthM = piece.widthM();
        this.lowestKelvin = piece.lowestKelvin();
        this.highestKelvin = piece.highestKelvin();
        this.watts = piece.watts();
        this.mount = piece.mount();
        this.heightM = piece.heightM();
        this.lamp = piece.lamp() == null ? null : json.write(piece.lamp());
        this.glasses = piece.glasses();
        this.surface = piece.surface() == null ? null : json.write(piece.surface());
    }

    long version() {
        return version;
    }

    PlacedPiece toPlacedPiece(RecordJson json) {
        return new PlacedPiece(
                id == null ? 0 : id,
                version,
                new Placement(
                        key,
                        name,
                        kind,
                        role,
                        motivation,
                        new Piece(
                                what,
                                unit,
                                widthM,
                                lowestKelvin,
                                highestKelvin,
                                watts,
                                mount,
                                heightM,
                                lamp == null ? null : json.read(lamp, Lamp.class),
                                surface == null ? null : json.read(surface, Surface.class),
                                glasses),
                        group,
                        locked));
    }

    @Override
    public Source source() {
        return new Source(Part.SCENE, sceneId);
    }
}
