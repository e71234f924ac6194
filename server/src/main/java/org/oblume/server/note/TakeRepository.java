package org.oblume.server.note;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface TakeRepository extends JpaRepository<TakeEntity, Long> {

    List<TakeEntity> findByShotIdOrderByNumber(long shotId);

    List<TakeEntity> findByShotIdIn(Collection<Long> shotIds);
}
