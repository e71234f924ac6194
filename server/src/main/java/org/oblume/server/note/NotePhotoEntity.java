package org.oblume.server.note;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;
import org.oblume.server.set.PictureFile;
import org.oblume.server.support.IdentifiedEntity;

/** The photograph of a note, apart from it: a list of notes is read without their pictures. */
@Entity
@Table(name = "note_photo")
class NotePhotoEntity extends IdentifiedEntity {

    @Id
    @Column(name = "note_id")
    private long noteId;

    @Column(name = "media_type")
    private String mediaType = "";

    @Column(name = "width_px")
    private double widthPx;

    @Column(name = "height_px")
    private double heightPx;

    @Column(name = "focal_35")
    private @Nullable Double focal35;

    private byte[] bytes = new byte[0];

    protected NotePhotoEntity() {}

    NotePhotoEntity(long noteId, PictureFile file) {
        this.noteId = noteId;
        this.mediaType = file.mediaType();
        this.widthPx = file.widthPx();
        this.heightPx = file.heightPx();
        this.focal35 = file.focal35();
        this.bytes = file.bytes();
    }

    PictureFile toFile() {
        return new PictureFile(mediaType, widthPx, heightPx, focal35, bytes);
    }
}
