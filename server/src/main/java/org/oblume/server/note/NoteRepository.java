package org.oblume.server.note;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface NoteRepository extends JpaRepository<NoteEntity, Long> {

    List<NoteEntity> findByShotIdOrderByIdDesc(long shotId);

    List<NoteEntity> findBySetIdOrderByIdDesc(long setId);

    /** Who wrote a note that was taken out. */
    @Query(value = "select author from note where id = :id and taken_out_at is not null", nativeQuery = true)
    Optional<String> authorOfTakenOut(long id);

    @Modifying
    @Query(value = "update note set taken_out_at = null where id = :id", nativeQuery = true)
    void bringBack(long id);

    @Modifying
    @Query(value = "delete from note where taken_out_at < :before", nativeQuery = true)
    void forgetTakenOut(Instant before);
}
