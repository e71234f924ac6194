package org.oblume.server.still;

import org.springframework.data.jpa.repository.JpaRepository;

interface StillSmallRepository extends JpaRepository<StillSmallEntity, Long> {}
