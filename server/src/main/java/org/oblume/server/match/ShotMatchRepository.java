package org.oblume.server.match;

import org.springframework.data.jpa.repository.JpaRepository;

interface ShotMatchRepository extends JpaRepository<ShotMatchEntity, Long> {
}
