package org.oblume.server.still;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface StillRepository extends JpaRepository<StillEntity, Long> {

    List<StillEntity> findByShotIdIn(Collection<Long> shotIds);
}
