package org.oblume.server.continuity;

import java.util.List;
import org.oblume.core.continuity.Aspect;
import org.springframework.data.jpa.repository.JpaRepository;

interface ByEyeRepository extends JpaRepository<ByEyeEntity, Long> {

    List<ByEyeEntity> findByShotIdInOrderById(List<Long> shotIds);

    void deleteByShotIdAndRunIdAndAspect(long shotId, Long runId, Aspect aspect);

    void deleteByShotIdAndRunIdIsNullAndAspect(long shotId, Aspect aspect);
}
