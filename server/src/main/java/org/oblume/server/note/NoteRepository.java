package org.oblume.server.note;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface NoteRepository extends JpaRepository<NoteEntity, Long> {

    List<NoteEntity> findByShotIdOrderByIdDesc(long shotId);

    List<NoteEntity> findBySetIdOrderByIdDesc(long setId);
}
