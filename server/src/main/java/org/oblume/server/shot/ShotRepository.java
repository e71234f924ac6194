package org.oblume.server.shot;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface ShotRepository extends JpaRepository<ShotEntity, Long> {

    List<ShotEntity> findBySceneIdOrderByPlaceInList(long sceneId);

    List<ShotEntity> findBySceneIdInOrderByPlaceInList(List<Long> sceneIds);
}
