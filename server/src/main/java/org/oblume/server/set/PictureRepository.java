package org.oblume.server.set;

import org.springframework.data.jpa.repository.JpaRepository;

interface PictureRepository extends JpaRepository<PictureEntity, Long> {}
