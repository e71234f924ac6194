package org.oblume.server.set;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface SetRepository extends JpaRepository<SetEntity, Long> {

    List<SetEntity> findByProductionIdOrderByName(long productionId);

    Optional<SetEntity> findFirstByProductionIdAndNameAndPlan(long productionId, String name, String plan);
}
