package org.oblume.server.scene;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface SceneRepository extends JpaRepository<SceneEntity, Long> {

    List<SceneEntity> findByProductionIdOrderById(long productionId);

    Optional<SceneEntity> findByProductionIdAndNumber(long productionId, String number);
}
