package org.oblume.server.rebuild;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface RunStepRepository extends JpaRepository<RunStepEntity, Long> {

    List<RunStepEntity> findByRunIdOrderById(long runId);

    Optional<RunStepEntity> findByRunIdAndPlacementId(long runId, long placementId);

    void deleteByRunId(long runId);
}
