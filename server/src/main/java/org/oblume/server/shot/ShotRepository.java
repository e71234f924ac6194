package org.oblume.server.shot;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ShotRepository extends JpaRepository<ShotEntity, Long> {

    @Query("select s.sceneId from ShotEntity s where s.id = :id")
    Optional<Long> sceneIdOf(long id);

    List<ShotEntity> findBySceneIdOrderByPlaceInList(long sceneId);

    List<ShotEntity> findBySceneIdInOrderByPlaceInList(List<Long> sceneIds);
}
