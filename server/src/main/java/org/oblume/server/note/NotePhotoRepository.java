package org.oblume.server.note;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface NotePhotoRepository extends JpaRepository<NotePhotoEntity, Long> {

    @Query(
            """
            select new org.oblume.server.note.ShotPhoto(n.id, n.text, p.widthPx, p.heightPx, p.focal35, n.author)
            from NoteEntity n join NotePhotoEntity p on p.noteId = n.id
            where n.shotId = :shotId order by n.id
            """)
    List<ShotPhoto> ofShot(long shotId);
}
