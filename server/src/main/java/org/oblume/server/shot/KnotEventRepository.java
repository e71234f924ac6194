package org.oblume.server.shot;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.oblume.core.plot.Attribute;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface KnotEventRepository extends JpaRepository<KnotEventEntity, Long> {

    @Query("select max(e.id) from KnotEventEntity e")
    Optional<Long> newest();

    List<KnotEventEntity> findByShotIdAndIdLessThanOrderByIdDesc(long shotId, long before, Limit most);

    List<KnotEventEntity> findByShotIdAndPlacementIdAndIdLessThanOrderByIdDesc(
            long shotId, long placementId, long before, Limit most);

    List<KnotEventEntity> findByShotIdInAndIdLessThanEqualOrderById(Collection<Long> shotIds, long last);

    List<KnotEventEntity> findByShotIdAndIdGreaterThanOrderById(long shotId, long id);

    List<KnotEventEntity> findByEditIdOrderById(long editId);

    Optional<KnotEventEntity> findFirstByShotIdAndPlacementIdAndAttributeOrderByIdDesc(
            long shotId, long placementId, Attribute attribute);

    Optional<KnotEventEntity> findFirstByShotIdAndPlacementIdAndAttributeAndIdLessThanOrderByIdDesc(
            long shotId, long placementId, Attribute attribute, long id);

    @Query("select e from KnotEventEntity e where e.id in "
            + "(select max(l.id) from KnotEventEntity l where l.shotId in :shotIds group by l.shotId)")
    List<KnotEventEntity> newestOfEach(Collection<Long> shotIds);
}
