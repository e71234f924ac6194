package org.oblume.server.shot;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface ConfirmationRepository extends JpaRepository<ConfirmationEntity, Long> {

    List<ConfirmationEntity> findByShotIdInAndTakenBackFalseOrderById(Collection<Long> shotIds);

    List<ConfirmationEntity> findByEditIdOrderById(long editId);

    List<ConfirmationEntity> findByShotIdAndTakenBackFalseAndAfterEventBetweenOrderByIdDesc(
            long shotId, long first, long last);
}
