package org.oblume.server.shot;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.oblume.core.plot.Attribute;
import org.springframework.data.jpa.repository.JpaRepository;

interface KnotRepository extends JpaRepository<KnotEntity, Long> {

    List<KnotEntity> findByShotIdInOrderById(Collection<Long> shotIds);

    Optional<KnotEntity> findByShotIdAndPlacementIdAndAttribute(long shotId, long placementId, Attribute attribute);
}
