package org.oblume.server.truck;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface PullLineRepository extends JpaRepository<PullLineEntity, Long> {

    List<PullLineEntity> findByListIdInOrderByPlaceInList(Collection<Long> listIds);
}
