package org.oblume.server.live;

import org.springframework.data.jpa.repository.JpaRepository;

interface DoneCallRepository extends JpaRepository<DoneCallEntity, String> {
}
