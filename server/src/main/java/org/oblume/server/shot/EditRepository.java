package org.oblume.server.shot;

import java.util.Collection;
import java.util.Optional;
import org.oblume.server.shot.EditEntity.Kind;
import org.springframework.data.jpa.repository.JpaRepository;

interface EditRepository extends JpaRepository<EditEntity, Long> {

    Optional<EditEntity> findFirstByShotIdAndAuthorAndKindInAndTakenBackFalseOrderByIdDesc(
            long shotId, String author, Collection<Kind> kinds);
}
