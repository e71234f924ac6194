package org.oblume.server.rebuild;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface TickRepository extends JpaRepository<TickEntity, Long> {

    List<TickEntity> findByShotIdOrderById(long shotId);

    Optional<TickEntity> findByShotIdAndPlacementId(long shotId, long placementId);
}
