package org.oblume.server.scene;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlacementRepository extends JpaRepository<PlacementEntity, Long> {

    List<PlacementEntity> findBySceneIdOrderByPlaceInList(long sceneId);

    Optional<PlacementEntity> findBySceneIdAndKey(long sceneId, String key);
}
