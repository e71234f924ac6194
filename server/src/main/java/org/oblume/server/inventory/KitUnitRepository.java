package org.oblume.server.inventory;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface KitUnitRepository extends JpaRepository<KitUnitEntity, Long> {

    List<KitUnitEntity> findByProductionIdOrderById(long productionId);

    List<KitUnitEntity> findByTagKeyOrderById(String tagKey);
}
