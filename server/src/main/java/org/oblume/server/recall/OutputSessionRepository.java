package org.oblume.server.recall;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface OutputSessionRepository extends JpaRepository<OutputSessionEntity, Long> {

    List<OutputSessionEntity> findByClosedAtIsNullOrderById();
}
