package org.oblume.server.location;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface SetRepository extends JpaRepository<SetEntity, Long> {

    Optional<SetEntity> findFirstByProductionIdAndNameAndPlan(long productionId, String name, String plan);
}
