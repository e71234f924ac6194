package org.oblume.server.scene;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface SceneRepository extends JpaRepository<SceneEntity, Long> {

    List<SceneEntity> findByProductionIdOrderById(long productionId);

    List<SceneEntity> findBySetIdOrderById(long setId);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from SceneEntity s where s.id = :id")
    Optional<SceneEntity> findLocked(long id);

    Optional<SceneEntity> findByProductionIdAndNumber(long productionId, String number);
}
