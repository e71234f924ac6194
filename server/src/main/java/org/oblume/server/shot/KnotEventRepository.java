package org.oblume.server.shot;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface KnotEventRepository extends JpaRepository<KnotEventEntity, Long> {

    @Query("select e from KnotEventEntity e where e.id in "
            + "(select max(l.id) from KnotEventEntity l where l.shotId in :shotIds group by l.shotId)")
    List<KnotEventEntity> newestOfEach(Collection<Long> shotIds);
}
