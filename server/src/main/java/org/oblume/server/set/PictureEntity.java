package org.oblume.server.set;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.IdentifiedEntity;

@Entity
@Table(name = "picture")
class PictureEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "set_id")
    private long setId;

    @Column(name = "media_type")
    private String mediaType = "";

    @Column(name = "width_px")
    private double widthPx;

    @Column(name = "height_px")
    private double heightPx;

    private byte[] bytes = {};

    protected PictureEntity() {}

    PictureEntity(long setId, PictureFile file) {
        this.setId = setId;
        this.mediaType = file.mediaType();
        this.widthPx = file.widthPx();
        this.heightPx = file.heightPx();
        this.bytes = file.bytes();
    }

    long id() {
        return id == null ? 0 : id;
    }

    PictureFile toFile() {
        return new PictureFile(mediaType, widthPx, heightPx, null, bytes);
    }
}
