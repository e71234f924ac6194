package org.oblume.server.shot;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface RevisionRepository extends JpaRepository<RevisionEntity, Long> {

    List<RevisionEntity> findByShotIdOrderByNumber(long shotId);
}
