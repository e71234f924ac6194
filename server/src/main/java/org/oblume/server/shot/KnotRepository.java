package org.oblume.server.shot;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface KnotRepository extends JpaRepository<KnotEntity, Long> {

    List<KnotEntity> findByShotIdInOrderById(Collection<Long> shotIds);

    List<KnotEntity> findByShotIdAndPlacementIdIn(long shotId, Collection<Long> placementIds);
}
