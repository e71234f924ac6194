package org.oblume.server.day;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface DayShotRepository extends JpaRepository<DayShotEntity, Long> {

    List<DayShotEntity> findByDayIdInOrderByPlaceInList(Collection<Long> dayIds);

    @Modifying
    @Query("delete from DayShotEntity s where s.dayId = :dayId")
    void clear(long dayId);
}
