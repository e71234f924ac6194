package org.oblume.server.carry;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface LookRepository extends JpaRepository<LookEntity, Long> {

    List<LookEntity> findBySceneIdOrderById(long sceneId);

    boolean existsBySceneIdAndNameIgnoreCase(long sceneId, String name);
}
