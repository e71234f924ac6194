package org.oblume.server.rebuild;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface RunRepository extends JpaRepository<RunEntity, Long> {

    List<RunEntity> findByShotIdOrderByIdDesc(long shotId);

    List<RunEntity> findByShotIdInOrderById(List<Long> shotIds);

    Optional<RunEntity> findFirstByShotIdAndSetIdIsNullOrderByIdDesc(long shotId);
}
