package org.oblume.server.day;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface ShootingDayRepository extends JpaRepository<ShootingDayEntity, Long> {

    List<ShootingDayEntity> findByProductionId(long productionId);

    Optional<ShootingDayEntity> findByProductionIdAndNumber(long productionId, int number);

    /** Counts a change of its order as one of it. */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("update ShootingDayEntity d set d.version = d.version + 1 where d.id = :id")
    void touch(long id);
}
