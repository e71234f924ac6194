package org.oblume.server.earlier;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface EarlierVersionRepository extends JpaRepository<EarlierVersionEntity, Long> {

    List<EarlierVersionEntity> findBySetIdOrderByIdDesc(long setId, Limit most);

    List<EarlierVersionEntity> findByDayIdOrderByIdDesc(long dayId, Limit most);

    List<EarlierVersionEntity> findByShotIdOrderByIdDesc(long shotId, Limit most);

    List<EarlierVersionEntity> findByUnitIdOrderByIdDesc(long unitId, Limit most);

    List<EarlierVersionEntity> findByStockIdOrderByIdDesc(long stockId, Limit most);
}
