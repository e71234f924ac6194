package org.oblume.server.monitor;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface MonitorCurveRepository extends JpaRepository<MonitorCurveEntity, Long> {

    Optional<MonitorCurveEntity> findByProductionId(long productionId);

    Optional<MonitorCurveEntity> findBySceneId(long sceneId);
}
