package org.oblume.server.metering;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface DialPointRepository extends JpaRepository<DialPointEntity, Long> {

    List<DialPointEntity> findByProductionIdOrderById(long productionId);

    List<DialPointEntity> findByProductionIdAndUnitAndPathOrderById(long productionId, String unit, String path);
}
