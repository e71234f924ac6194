package org.oblume.server.shot;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface NamingRepository extends JpaRepository<NamingEntity, Long> {

    List<NamingEntity> findByPlacementIdInAndAfterEventBetweenOrderByIdDesc(
            Collection<Long> placementIds, long first, long last);
}
