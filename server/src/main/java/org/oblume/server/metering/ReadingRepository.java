package org.oblume.server.metering;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReadingRepository extends JpaRepository<ReadingEntity, Long> {

    List<ReadingEntity> findByShotIdInAndRunIdIsNullOrderById(List<Long> shotIds);

    List<ReadingEntity> findByShotIdAndRunIdIsNullOrderById(long shotId);

    boolean existsByModelLessThanAndAloneIdIsNotNullAndRunIdIsNull(int model);

    List<ReadingEntity> findByModelLessThanAndAloneIdIsNotNullAndRunIdIsNullOrderById(int model);

    List<ReadingEntity> findByRunIdOrderById(long runId);

    List<ReadingEntity> findByShotIdInAndRunIdIsNullAndAloneIdIsNotNullOrderById(List<Long> shotIds);
}
