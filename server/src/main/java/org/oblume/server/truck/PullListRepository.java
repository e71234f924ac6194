package org.oblume.server.truck;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface PullListRepository extends JpaRepository<PullListEntity, Long> {

    List<PullListEntity> findByProductionIdOrderByIdDesc(long productionId);
}
