package org.oblume.server.patch;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface NodeRepository extends JpaRepository<NodeEntity, Long> {

    List<NodeEntity> findByProductionIdOrderByName(long productionId);
}
