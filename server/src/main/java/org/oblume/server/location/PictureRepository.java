package org.oblume.server.location;

import org.springframework.data.jpa.repository.JpaRepository;

interface PictureRepository extends JpaRepository<PictureEntity, Long> {
}
