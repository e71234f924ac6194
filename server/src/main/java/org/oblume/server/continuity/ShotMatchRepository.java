package org.oblume.server.continuity;

import org.springframework.data.jpa.repository.JpaRepository;

interface ShotMatchRepository extends JpaRepository<ShotMatchEntity, Long> {}
