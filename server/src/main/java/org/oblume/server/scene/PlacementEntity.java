package org.oblume.server.scene;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

@Entity
@Table(name = "placement")
class PlacementEntity {

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
    @Column(name = "place_in_list")
    private int placeInList;

    protected PlacementEntity() {
    }

    PlacementEntity(long sceneId, int placeInList, Placement placement) {
        this.sceneId = sceneId;
        this.placeInList = placeInList;
        this.key = placement.key();
        this.name = placement.name();
        this.kind = placement.kind();
        this.role = placement.role();
        this.motivation = placement.motivation();
        Piece piece = placement.piece();
        this.what = piece.what();
        this.unit = piece.unit();
        this.widthM = piece.widthM();
        this.lowestKelvin = piece.lowestKelvin();
        this.highestKelvin = piece.highestKelvin();
        this.watts = piece.watts();
        this.mount = piece.mount();
    }

    PlacedPiece toPlacedPiece() {
        return new PlacedPiece(id == null ? 0 : id, new Placement(key, name, kind, role, motivation,
                new Piece(what, unit, widthM, lowestKelvin, highestKelvin, watts, mount)));
    }
}
