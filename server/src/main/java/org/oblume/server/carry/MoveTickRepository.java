package org.oblume.server.carry;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface MoveTickRepository extends JpaRepository<MoveTickEntity, Long> {

    List<MoveTickEntity> findByFromSideAndToSide(String fromSide, String toSide);

    Optional<MoveTickEntity> findByFromSideAndToSideAndMoveKey(String fromSide, String toSide, String moveKey);
}
