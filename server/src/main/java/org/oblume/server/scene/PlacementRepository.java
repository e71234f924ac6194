package org.oblume.server.scene;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlacementRepository extends JpaRepository<PlacementEntity, Long> {

    List<PlacementEntity> findBySceneIdOrderByPlaceInList(long sceneId);
}
