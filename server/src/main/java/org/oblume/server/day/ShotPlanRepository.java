package org.oblume.server.day;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface ShotPlanRepository extends JpaRepository<ShotPlanEntity, Long> {

    List<ShotPlanEntity> findByShotIdIn(Collection<Long> shotIds);

    Optional<ShotPlanEntity> findByShotId(long shotId);
}
