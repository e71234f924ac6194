package org.oblume.server.note;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
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

    @Query(
            """
            select new org.oblume.server.note.ScenePhoto(
                n.id, n.shotId, n.placementId, n.text, p.widthPx, p.heightPx, n.author, n.at)
            from NoteEntity n join NotePhotoEntity p on p.noteId = n.id
            where n.shotId in :shotIds order by n.id
            """)
    List<ScenePhoto> ofShots(Collection<Long> shotIds);

    @Query(
            """
            select new org.oblume.server.note.ScenePhoto(
                n.id, n.shotId, n.placementId, n.text, p.widthPx, p.heightPx, n.author, n.at)
            from NoteEntity n join NotePhotoEntity p on p.noteId = n.id
            where n.id = :id and n.shotId is not null
            """)
    Optional<ScenePhoto> one(long id);

    @Query(
            value =
                    """
                    select p.bytes from note n join note_photo p on p.note_id = n.id
                    where n.shot_id = :shotId and n.taken_out_at is null and octet_length(p.bytes) = :length
                    """,
            nativeQuery = true)
    List<byte[]> ofLength(long shotId, int length);
}
