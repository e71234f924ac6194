package org.oblume.server.note;

import org.springframework.data.jpa.repository.JpaRepository;

interface NotePhotoRepository extends JpaRepository<NotePhotoEntity, Long> {}
