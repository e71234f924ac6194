package org.oblume.server.inventory;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface CountedStockRepository extends JpaRepository<CountedStockEntity, Long> {

    List<CountedStockEntity> findByProductionIdOrderById(long productionId);
}
